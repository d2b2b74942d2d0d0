<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Rhythm;
use JollyFurrow\Time\Day;

/** What a planting can give and when, reckoned from the crop book alone: whole units between two days. */
final class Harvests
{
    /** Picking begins and ends at four tenths of its height (the planner's stated model). */
    private const START = 0.4;
    private const END = 0.4;

    /** @return list<array{from: int, to: int, units: float}> the one lost soonest first */
    public static function of(Sheet $planting, Crop $crop): array
    {
        $metres = array_sum(array_map(static fn (Sheet $s): float => ($s->number('to_mm') - $s->number('from_mm'))
            * ($s->has('width_share') ? $s->number('width_share') : 1.0),
            $planting->parts('pieces'))) / 1000;
        $units = $planting->number('per_metre') * ($planting->has('stand') ? $planting->number('stand') : 1.0) * $metres;
        [$ready, $clear] = [$planting->day('ready') ?? 0, $planting->day('clear') ?? 0];

        return Pattern::Once === $crop->pattern || Pattern::DigAsNeeded === $crop->pattern ? self::stock($planting, $crop, $units,
            $ready, $clear) : self::pickings($planting, $crop, $units, $ready, $clear);
    }

    /** @return list<array{from: int, to: int, units: float}> */
    private static function stock(Sheet $planting, Crop $crop, float $units, int $ready, int $clear): array
    {
        $parts = [[$ready, $clear, $units]];
        if ($planting->has('left')) {
            $cut = max($ready, min($clear, $planting->part('left')->day('since') ?? $ready));
            $share = $planting->part('left')->number('share');
            $parts = [[$ready, $cut, $units * (1 - $share)], [$cut, $clear, $units * $share]];
        }

        return array_map(static fn (array $p): array => ['from' => $p[0], 'to' => $p[1], 'units' => $crop->produce->weeklyLoss > 0.0
            ? $p[2] : floor($p[2] + 1e-6)], $parts);
    }

    /** @return list<array{from: int, to: int, units: float}> */
    private static function pickings(Sheet $planting, Crop $crop, float $units, int $ready, int $clear): array
    {
        $shares = Pattern::Cuts === $crop->pattern ? self::cuts($crop->rhythm) : self::climbAndFall($crop->rhythm);
        $whole = array_sum($shares);
        if ($planting->has('harvest')) {
            [$shares, $whole] = [self::told($planting), 1.0];
        }
        $sum = $before = 0.0;
        $lots = [];
        foreach (self::firsts($crop, $ready, $clear) as $season => $first) {
            foreach ($shares as $after => $share) {
                if ($first + $after > $clear || $after >= ($crop->rhythm->seasons[$season] ?? \PHP_INT_MAX)) {
                    continue;
                }
                $sum += $units * $share / $whole;
                $upTo = floor($sum + 1e-6);
                $lots[] = ['from' => $first + $after, 'to' => $first + $after, 'units' => $upTo - $before];
                $before = $upTo;
            }
        }

        return $lots;
    }

    /** @return list<int> first harvest days: one, or one a year for a perennial, by its seasons */
    private static function firsts(Crop $crop, int $ready, int $clear): array
    {
        if (Pattern::Perennial !== $crop->pattern) {
            return [$ready];
        }
        $first = Day::of($ready);
        $firsts = [];
        for ($year = $first->year(); $year <= Day::of($clear)->year(); ++$year) {
            $isThere = checkdate($first->month(), $first->dayOfMonth(), $year);
            $day = Day::fromDate($year, $first->month(), $isThere ? $first->dayOfMonth() : 28)->number;
            $firsts = $day <= $clear ? [...$firsts, $day] : $firsts;
        }

        return $firsts;
    }

    /** @return array<int, float> share of the yield by days after ready, as the plan has it */
    private static function told(Sheet $planting): array
    {
        $shares = [];
        foreach ($planting->lists('harvest') as [$after, $share]) {
            if (is_numeric($after) && is_numeric($share)) {
                $shares[(int) $after] = (float) $share;
            }
        }

        return $shares;
    }

    /** @return array<int, float> */
    private static function cuts(Rhythm $rhythm): array
    {
        $shares = [];
        for ($cut = 0; $cut < max(1, $rhythm->cuts); ++$cut) {
            $shares[$cut * $rhythm->every] = $rhythm->laterShare ** $cut;
        }

        return $shares;
    }

    /** @return array<int, float> */
    private static function climbAndFall(Rhythm $rhythm): array
    {
        $shares = [];
        $turn = (int) ceil($rhythm->lasts * 2 / 3);
        for ($day = 0; 0 === $day || $day < $rhythm->lasts; $day += $rhythm->every) {
            $up = 0 === $rhythm->ramp ? 1.0 : min(1.0, self::START + (1 - self::START) * $day / $rhythm->ramp);
            $down = $day <= $turn ? 1.0 : 1 - (1 - self::END) * ($day - $turn) / max(1, $rhythm->lasts - $turn);
            $shares[$day] = min($up, $down);
        }

        return $shares;
    }
}
