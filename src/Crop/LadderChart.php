<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Ladder\LadderRung;
use JollyFurrow\Ladder\VarietyLadder;
use JollyFurrow\Time\Day;

/** A ladder to scale: a rung for each variety from its first harvest to its last, gaps as open columns. */
final readonly class LadderChart
{
    private const WIDTH = 720.0;
    private const RUNG = 30.0;
    private const BELOW = 34.0;

    /**
     * @param list<array{rung: LadderRung, y: float, x: float, w: float, lead: float}> $rungs  lead: from the day all are planted to the first harvest
     * @param list<array{x: float, w: float, days: int}>                               $gaps
     * @param list<array{x: float, label: string}>                                     $months
     */
    private function __construct(public array $rungs, public array $gaps, public array $months, public float $height, public float $box)
    {
    }

    public static function of(VarietyLadder $ladder, Day $planted): self
    {
        $good = array_values(array_filter($ladder->rungs, static fn (LadderRung $r): bool => null !== $r->from && null !== $r->until));
        $last = max([$planted->number + 90, ...array_map(static fn (LadderRung $r): int => $r->until->number ?? 0, $good)]) + 7;
        $scale = self::WIDTH / ($last - $planted->number);
        $x = static fn (int $day): float => round(($day - $planted->number) * $scale, 1);
        $rungs = [];
        foreach ($good as $i => $rung) {
            $from = $rung->from->number ?? 0;
            $rungs[] = ['rung' => $rung, 'y' => $i * self::RUNG, 'x' => $x($from), 'w' => max(2.0, round($x(($rung->until->number ?? $from) + 1) - $x($from), 1)), 'lead' => $x($from)];
        }
        $months = [];
        for ($day = Day::fromDate($planted->year(), $planted->month(), 1); $day->number < $last; $day = 12 === $day->month() ? Day::fromDate($day->year() + 1, 1, 1) : Day::fromDate($day->year(), $day->month() + 1, 1)) {
            if (!$day->isBefore($planted)) {
                $months[] = ['x' => $x($day->number), 'label' => date('M', (int) mktime(0, 0, 0, $day->month(), 1, 2001))];
            }
        }

        return new self($rungs, array_map(static fn ($gap): array => ['x' => $x($gap->from->number), 'w' => round($x($gap->until->number + 1) - $x($gap->from->number), 1), 'days' => $gap->days()], $ladder->gaps), $months, self::RUNG * max(1, \count($good)), self::RUNG * max(1, \count($good)) + self::BELOW);
    }

    /** Today when the crop goes into the ground now, else the first day of its next season. */
    public static function usualDay(Garden $garden, Crop $crop, PlaceType $place): Day
    {
        $season = $garden->season($crop, $place);
        if (null === $season || $season->contains($garden->today)) {
            return $garden->today;
        }
        $day = $season->from->in($garden->today->year());

        return $day->isBefore($garden->today) ? $season->from->in($garden->today->year() + 1) : $day;
    }
}
