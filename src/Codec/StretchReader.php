<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Land\Stretch;

/** Reads a stretch of bed and holds it against the bed's length. */
final class StretchReader
{
    /** @param array<string, int> $lengths millimetres by bed */
    public static function stretch(Node $node, array $lengths): ?Stretch
    {
        $bed = $node->text('bed', 20);
        if (!isset($lengths[$bed])) {
            $node->fault('bed', 'is not among the beds of this file.');

            return null;
        }
        $from = $node->int('from_mm', 0, 500_000);
        $to = $node->int('to_mm', 1, 500_000);
        $share = $node->has('width_share') ? $node->float('width_share', 0.01, 1) : 1.0;
        if ($to <= $from || $to > $lengths[$bed]) {
            $node->fault('to_mm', \sprintf('is %d; it must lie beyond from_mm (%d) and within the bed (%d).', $to, $from, $lengths[$bed]));

            return null;
        }

        return Stretch::of($bed, $from, $to, $share);
    }
}
