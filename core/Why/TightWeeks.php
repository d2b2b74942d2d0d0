<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Beds\FreeMetres;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Values;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** Weeks in which nearly all beds of one kind are taken, and which promises were given up for it, and why these. */
final readonly class TightWeeks
{
    /** Free share of the metres below which a week is tight. */
    private const TIGHT = 0.1;
    private const WEEKS = 52;

    /**
     * @param float                                                                  $free    metres, the least of it
     * @param list<array{item: string, worth: float, earns: float, standing: float}> $givenUp the dearest first; cents it would fetch, cents a metre and week it would earn, and the middle one of what stands there earns
     */
    private function __construct(public PlaceType $place, public Day $from, public Day $until, public float $free, public array $givenUp)
    {
    }

    /**
     * @param list<Explained> $short
     *
     * @return list<self> by place and day
     */
    public static function of(Garden $garden, CropBook $book, array $short): array
    {
        $monday = $garden->today->plus(1 - $garden->today->weekday()->value)->number;
        $tight = [];
        foreach (PlaceType::cases() as $place) {
            $all = $garden->metresOf($place);
            $from = null;
            $least = \INF;
            foreach ($all > 0.0 ? FreeMetres::byWeek($garden, $place, $monday, self::WEEKS) + [$monday + 7 * self::WEEKS => $all]
                : [] as $week => $free) {
                if ($free < self::TIGHT * $all) {
                    $from ??= $week;
                    $least = min($least, $free);
                } elseif (null !== $from) {
                    $tight[] = new self($place, Day::of($from), Day::of($week - 1), $least, self::givenUp($garden, $book, $short,
                        $place, $from, $week - 1));
                    [$from, $least] = [null, \INF];
                }
            }
        }

        return $tight;
    }

    /**
     * @param list<Explained> $short
     *
     * @return list<array{item: string, worth: float, earns: float, standing: float}>
     */
    private static function givenUp(Garden $garden, CropBook $book, array $short, PlaceType $place, int $from, int $until): array
    {
        $values = Values::of($garden);
        $standing = [];
        foreach ($garden->plantings as $planting) {
            if ($planting->place === $place && $planting->bedStart->number <= $until && $from <= $planting->clear->number
                && $book->has($planting->item)) {
                $standing[] = ($values[$planting->item] ?? 0.0) * $planting->perMetre * 7 / max(7, $planting->occupancy()->days());
            }
        }
        sort($standing);
        $given = [];
        foreach ($short as $one) {
            $candidate = $one->mend?->candidate;
            if (ShortageReason::NoBed !== $one->reason || null === $candidate || $candidate->place !== $place
                || $candidate->bedStart > $until || $from > $candidate->ready) {
                continue;
            }
            $item = $one->shortage->item;
            $given[$item] ??= ['item' => $item, 'worth' => 0.0, 'earns' => ($values[$item] ?? 0.0) * $candidate->perMetre * 7 / max(7,
                max($candidate->ready, $candidate->lastField) - $candidate->bedStart + 1),
                'standing' => $standing[intdiv(\count($standing), 2)] ?? 0.0];
            $given[$item]['worth'] += $one->shortage->units * ($values[$item] ?? 0.0);
        }
        usort($given, static fn (array $a, array $b): int => [$b['worth'], $a['item']] <=> [$a['worth'], $b['item']]);

        return $given;
    }
}
