<?php

declare(strict_types=1);

namespace App\Hand;

use App\Shared\Entry;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Time\Period;

/** Reads a cover that a person wants put over a planting or a bed. */
final class CoverEntry
{
    private const LONGEST_DAYS = 730;

    /** @return array<string, Cover> covers that can be put on there */
    public static function covers(PlaceType $place): array
    {
        $covers = [];
        foreach ([Cover::RowCover, Cover::LowTunnel, Cover::Tunnel, Cover::TunnelCovered, Cover::Heated] as $cover) {
            if (Cover::usualOf($place)->under($cover) !== Cover::usualOf($place)) {
                $covers[$cover->value] = $cover;
            }
        }

        return $covers;
    }

    /** Null when a field is not clear: its fault is in the entry. One of bed and planting is empty. */
    public static function read(Entry $entry, string $bed, string $planting, PlaceType $place): ?Protection
    {
        $entry->oneOf('cover', array_map(strval(...), array_keys(self::covers($place))));
        $cover = Cover::tryFrom($entry->raw('cover')) ?? Cover::RowCover;
        $purpose = $entry->choice('purpose', Purpose::class);
        $from = $entry->day('from');
        $to = $entry->day('to');
        if ($entry->isGood() && $to->isBefore($from)) {
            $entry->fault('to', 'It comes off before it is put on. Write the same day or a later one.');
        } elseif ($entry->isGood() && $to->since($from) > self::LONGEST_DAYS) {
            $entry->fault('to', 'A cover stays on for two years at most; write a nearer day.');
        }
        if (!$entry->isGood()) {
            return null;
        }
        $days = Period::fromFirstToLast($from, $to);

        return '' !== $planting ? Protection::overPlanting($planting, $cover, $purpose, $days) : Protection::overBed($bed, $cover,
            $purpose, $days);
    }
}
