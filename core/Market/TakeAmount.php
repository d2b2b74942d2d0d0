<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Odds\Normal;
use JollyFurrow\Odds\Survival;

/**
 * How much to take to a stall: so much that what a unit too few costs and what one too many costs are even in the long run
 * (the newsvendor's critical ratio), from sales of like days; a day that sold out counts as "at least" (Kaplan & Meier 1958).
 * With few days it leans on the promise.
 */
final readonly class TakeAmount
{
    /** The promise weighs as so many days (own model). */
    private const PROMISE_DAYS = 4;
    /** What is asked for spreads by so much of the promise (own model). */
    private const SPREAD = 0.3;
    /** Where so much was never seen to be enough: so many times the most sold (own model). */
    private const UNSEEN = 1.15;

    /**
     * @param int        $units    to take, in whole sale units
     * @param float      $ratio    in how many days it should be enough
     * @param int        $days     like days it is drawn from
     * @param float|null $short    share of like days on which more would have been asked for; null: too few days
     * @param bool       $isUnseen so much was never seen to be enough
     * @param bool       $isAll    more was not there
     */
    private function __construct(public int $units, public float $ratio, public int $days, public ?float $short, public bool $isUnseen,
        public bool $isAll)
    {
    }

    /**
     * @param list<float> $sold    on like days that were not sold out
     * @param list<float> $soldOut on like days that were
     * @param int         $there   units there are
     * @param int         $whole   units of a sale unit
     */
    public static function of(Stake $stake, array $sold, array $soldOut, float $promise, int $there, int $whole = 1): self
    {
        $ratio = $stake->ratio();
        $days = \count($sold) + \count($soldOut);
        if (0.0 === $ratio || 1.0 === $ratio) {
            return new self(1.0 === $ratio ? $there : 0, $ratio, $days, null, false, 1.0 === $ratio);
        }
        $survival = Survival::of($sold, $soldOut);
        $enough = $survival->by($ratio);
        $quantile = $enough ?? self::UNSEEN * $survival->most;
        $leaning = $promise * (1 + self::SPREAD * Normal::quantile($ratio));
        $wanted = ($days * $quantile + self::PROMISE_DAYS * $leaning) / ($days + self::PROMISE_DAYS);
        $units = $whole * (int) ceil($wanted / $whole - 1e-9);
        $most = $whole * intdiv($there, $whole);

        return new self(min($units, $most), $ratio, $days, $days < self::PROMISE_DAYS ? null : $survival->beyond((float) min($units,
            $most)),
            $days > 0 && null === $enough, $units > $most);
    }
}
