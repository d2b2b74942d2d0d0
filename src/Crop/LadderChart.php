<?php

declare(strict_types=1);

namespace App\Crop;

use App\Wording\MonthTick;
use App\Wording\TimeAxis;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Ladder\LadderGap;
use JollyFurrow\Ladder\LadderRung;
use JollyFurrow\Ladder\VarietyLadder;
use JollyFurrow\Season\Here;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** A ladder to scale: a rung for each variety from its first harvest to its last, gaps as open columns. */
final readonly class LadderChart
{
    private const YEAR = 365;
    private const WIDTH = 720.0;
    private const RUNG = 30.0;
    private const BELOW = 34.0;

    /**
     * @param list<array{rung: LadderRung, y: float, x: float, w: float, lead: float}> $rungs  lead: from the day all are planted to the first harvest
     * @param list<array{x: float, w: float, days: int}>                               $gaps
     * @param list<MonthTick>                                                          $months
     */
    private function __construct(public array $rungs, public array $gaps, public array $months, public float $height, public float $box)
    {
    }

    public static function of(VarietyLadder $ladder, Day $planted): self
    {
        $good = array_values(array_filter($ladder->rungs, static fn (LadderRung $r): bool => null !== $r->from && null !== $r->until));
        $last = max([$planted->number + 90, ...array_map(static fn (LadderRung $r): int => $r->until->number ?? 0, $good)]) + 7;
        $axis = new TimeAxis($planted->number, $last - $planted->number, self::WIDTH);
        $rungs = [];
        foreach ($good as $i => $rung) {
            $from = $rung->from->number ?? 0;
            $rungs[] = ['rung' => $rung, 'y' => $i * self::RUNG, 'x' => $axis->at($from),
                'w' => max(2.0, $axis->wide($from, $rung->until->number ?? $from)), 'lead' => $axis->at($from)];
        }

        $gaps = array_map(static fn (LadderGap $gap): array => ['x' => $axis->at($gap->from->number),
            'w' => $axis->wide($gap->from->number, $gap->until->number), 'days' => $gap->days()], $ladder->gaps);
        $height = self::RUNG * max(1, \count($good));

        return new self($rungs, $gaps, $axis->months(), $height, $height + self::BELOW);
    }

    /** Today when the crop goes into the ground now, else the first day of its next season. */
    public static function usualDay(Garden $garden, Crop $crop, PlaceType $place): Day
    {
        $here = new Here($garden);
        $method = VarietyLadder::method($crop);
        for ($n = 0; $n < self::YEAR; ++$n) {
            $ground = $garden->today->plus($n);
            if (null === $here->against($crop, $method, $place, $ground->plus(Method::Transplanted === $method
                ? -$crop->timing->nurseryDays : 0), $ground)) {
                return $ground;
            }
        }

        return $garden->today;
    }
}
