<?php

declare(strict_types=1);

namespace App\Nursery;

use JollyFurrow\Bench\BenchWeek;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Nursery\Trays;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** What makes room on a full bench: plants that can go out sooner, and those hardened in a cold frame a week sooner. */
final readonly class BenchMends
{
    private const SHOWN = 5;

    /** @param Day $from it is large enough to go out */
    private function __construct(public Planting $planting, public Day $from, public int $sooner, public float $trays)
    {
    }

    /** @return list<self> the most trays first */
    public static function of(Garden $garden, CropBook $crops, BenchWeek $week): array
    {
        $mends = [];
        foreach ($week->plantings as $planting) {
            $crop = $crops->grown($planting->item, $planting->variety);
            $out = $garden->local()->of($crop, $garden->coversOf($planting))->outOfTheNursery($planting->sow->number);
            $sooner = null === $out ? 0 : $planting->ground->number - $out;
            if ($sooner > 0 && null !== $out && $out <= $week->monday->number + 6 && !$planting->ground->isBefore($week->monday)) {
                $mends[] = new self($planting, Day::of($out), $sooner, Trays::of($crop, $planting, $garden->bedsByName())->trays);
            }
        }
        usort($mends, static fn (self $a, self $b): int => [$b->trays, $a->planting->key] <=> [$a->trays, $b->planting->key]);

        return \array_slice($mends, 0, self::SHOWN);
    }
}
