<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Land\Stretch;

/** Reads a stretch of bed and holds it against the bed's length. */
final class StretchReader
{
    /** @param array<string, int> $lengths micrometres by bed */
    public static function stretch(Node $node, array $lengths): ?Stretch
    {
        $bed = $node->text('bed', 20);
        if (!isset($lengths[$bed])) {
            $node->fault('bed', 'is not among the beds of this file.');

            return null;
        }
        $from = $node->length('from_mm', 0, 500_000);
        $to = $node->length('to_mm', 1, 500_000);
        $share = $node->has('width_share') ? $node->float('width_share', 0.01, 1) : 1.0;
        if ($to <= $from || $to > $lengths[$bed]) {
            $node->fault('to_mm', \sprintf('is %s; it must lie beyond from_mm (%s) and within the bed (%s).',
                Millimetres::of($to), Millimetres::of($from), Millimetres::of($lengths[$bed])));

            return null;
        }

        return Stretch::of($bed, $from, $to, $share);
    }
}
