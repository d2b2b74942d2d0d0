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
    /** A first harvest further than this from the book's is one of the southern half of the world. Days. */
    private const QUARTER = 91;

    public function __construct(public string $planting, public int $from, public int $to, public float $units, public float $weeklyLoss)
    {
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
        foreach (self::firstDays($planting, $crop) as $first) {
            foreach ([] === $planting->harvest ? HarvestCurve::shares($crop->pattern, $crop->rhythm)
                : $planting->harvest as $after => $share) {
                if ($first + $after <= $planting->clear->number) {
                    $days[$first + $after] = $share;
                }
            }
        }

        return $days;
    }

    /** @return list<int> the first harvest, of every year for a perennial */
    private static function firstDays(Planting $planting, Crop $crop): array
    {
        $window = $crop->rhythm->harvest;
        if (Pattern::Perennial !== $crop->pattern || null === $window) {
            return [$planting->ready->number];
        }
        $from = abs($planting->ready->number - $window->from->in($planting->ready->year())->number) > self::QUARTER
            ? $window->mirrored()->from : $window->from;
        $firsts = [];
        for ($year = $planting->ready->year(); $year <= $planting->clear->year(); ++$year) {
            $first = $from->in($year)->number;
            if ($first >= $planting->ready->number && $first <= $planting->clear->number) {
                $firsts[] = $first;
            }
        }

        return $firsts;
    }
}
