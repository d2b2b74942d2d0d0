<?php

declare(strict_types=1);

namespace JollyFurrow\Supply;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Harvest\HarvestCurve;
use JollyFurrow\Planting\Planting;

/**
 * Units one planting has to give between two days. A stock may be cut on any of them; a cut or a picking has one day.
 * Units are whole, but for goods that shrink in store: those are rounded down when they are taken.
 */
final readonly class Lot
{
    /**
     * @param int      $to        last day it can be cut; of what lies in store: its last good day less the days it keeps
     * @param int|null $goodUntil of what lies in store: the last day it is good, however long ago it was cut; null: by the reach
     *                            of who wants it
     * @param bool     $isGone    it was brought in and is sold, on its way or lost: nobody has to pick it
     */
    public function __construct(public string $planting, public int $from, public int $to, public float $units, public float $weeklyLoss,
        public ?int $goodUntil = null, public bool $isGone = false)
    {
    }

    /** Whether it can be sold on a day to those who take it so many days old. */
    public function serves(int $day, int $reach): bool
    {
        return $this->from <= $day && $day <= ($this->goodUntil ?? $this->to + $reach);
    }

    /**
     * What a planting gives, in whole units.
     *
     * @return list<self> by day
     */
    public static function of(Planting $planting, Crop $crop): array
    {
        if (Pattern::GreenManure === $crop->pattern) {
            return [];
        }
        $metres = $planting->bedMetres();
        if ($crop->pattern->isStock()) {
            return self::stock($planting, $planting->yieldPerMetre() * $metres + 1e-9, $crop->produce->weeklyLoss);
        }
        $lots = [];
        $sum = 0.0;
        $whole = 0;
        foreach (self::days($planting, $crop) as $day => $share) {
            $sum += $share * $planting->yieldPerMetre() * $metres;
            $upTo = (int) floor($sum + 1e-9);
            if ($upTo > $whole) {
                $lots[] = new self($planting->key, $day, $day, $upTo - $whole, 0.0);
            }
            $whole = $upTo;
        }

        return $lots;
    }

    /**
     * One stock; or, where a harvest found what is left, the part already cut and the part still to come.
     *
     * @return list<self>
     */
    private static function stock(Planting $planting, float $units, float $loss): array
    {
        $whole = static fn (float $u): float => $loss > 0.0 ? $u : floor($u + 1e-9);
        $lot = static fn (int $from, int $to, float $u): self => new self($planting->key, $from, $to, $whole($u), $loss);
        $ready = $planting->ready->number;
        $clear = $planting->clear->number;
        if (null === $planting->left) {
            return [$lot($ready, $clear, $units)];
        }
        $cut = max($ready, min($clear, $planting->left->since->number));
        $lots = [$lot($ready, $cut, $units - $units * $planting->left->share), $lot($cut, $clear, $units * $planting->left->share)];

        return array_values(array_filter($lots, static fn (self $l): bool => $l->units > 0.0));
    }

    /** @return array<int, float> share of the yield by day number, up to the day the bed is cleared */
    private static function days(Planting $planting, Crop $crop): array
    {
        $days = [];
        foreach (self::firstDays($planting, $crop) as $season => $first) {
            foreach ([] === $planting->harvest ? HarvestCurve::shares($crop->pattern, $crop->rhythm)
                : $planting->harvest as $after => $share) {
                if ($first + $after <= $planting->clear->number && !$crop->rhythm->isSpared($season, $after)) {
                    $days[$first + $after] = $share;
                }
            }
        }

        return $days;
    }

    /** @return list<int> the first harvest; of a perennial that of every season, on the same day of the year */
    private static function firstDays(Planting $planting, Crop $crop): array
    {
        $firsts = [];
        $years = Pattern::Perennial === $crop->pattern ? $planting->clear->year() - $planting->ready->year() : 0;
        for ($year = 0; $year <= $years; ++$year) {
            $first = $planting->ready->inYear($planting->ready->year() + $year);
            if (!$planting->clear->isBefore($first)) {
                $firsts[] = $first->number;
            }
        }

        return $firsts;
    }
}
