<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Land\Bed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Time\Period;

/** Covers of a garden file: each over a bed or a planting of the same file. */
final class ProtectionReader
{
    /**
     * @param array<string, Bed> $beds
     * @param list<Planting>     $plantings
     *
     * @return list<Protection>
     */
    public static function protections(Node $root, array $beds, array $plantings): array
    {
        $keys = array_flip(array_map(static fn (Planting $p): string => $p->key, $plantings));
        $protections = [];
        foreach ($root->has('protections') ? $root->objects('protections', Limits::PROTECTIONS) : [] as $node) {
            $bed = $node->has('bed') ? $node->text('bed', 20) : '';
            $planting = $node->has('planting') ? $node->text('planting', 100) : '';
            if (('' === $bed) === ('' === $planting)) {
                $node->fault('bed', 'or else planting: a cover is over one of the two.');
            } elseif ('' !== $bed && !isset($beds[$bed])) {
                $node->fault('bed', 'is not among the beds of this file.');
            } elseif ('' !== $planting && !isset($keys[$planting])) {
                $node->fault('planting', 'is not among the plantings of this file.');
            }
            $from = $node->day('from');
            $to = $node->day('to');
            if ($to->isBefore($from)) {
                $node->fault('to', 'lies before from.');
                $to = $from;
            }
            $days = Period::fromFirstToLast($from, $to);
            $cover = $node->choice('cover', Cover::class);
            if (Cover::None === $cover) {
                $node->fault('cover', 'is no cover.');
            }
            $purpose = $node->choice('purpose', Purpose::class);
            $protections[] = '' !== $bed ? Protection::overBed($bed, $cover, $purpose, $days) : Protection::overPlanting($planting,
                $cover, $purpose, $days);
        }

        return $protections;
    }
}
