<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;

/**
 * Ready early in one year of ten, as a rule, and late in nine of ten: the sums run in weather so much warmer and colder
 * that a mean over that many days is as rare. Day numbers; measured days are as they were.
 */
final readonly class ReadyRange
{
    /** One in ten of a bell curve lies beyond so many spreads. */
    private const ONE_IN_TEN = 1.28;
    /** A mean over n days spreads as over n / 5.7 days of their own, for weather carries over (own model). */
    private const CARRIES = 5.7;
    /** Shifts are taken in steps, so that plantings share them. */
    private const STEP = 0.05;

    private function __construct(public int $early, public int $likely, public int $late)
    {
    }

    /** By so many spreads the mean of that many days is warmer in one year of ten. */
    public static function spreadsOver(int $days): float
    {
        return self::ONE_IN_TEN * sqrt(self::CARRIES / max(6, $days));
    }

    /** Null: in none of such years it gets ready. */
    public static function of(LocalTiming $timing, Crop $crop, Cover|CoverCalendar $cover, Ripeness $ripe, Method $method): ?self
    {
        $shift = self::STEP * round(self::spreadsOver($ripe->ready - $ripe->ground) / self::STEP);
        $at = static fn (float $spreads): ?int => $timing->shifted($spreads)->of($crop, $cover)
            ->fromGround($ripe->sow, $ripe->ground, $method)?->ready;
        $early = $at($shift);
        $late = $at(-$shift);

        return null === $early || null === $late ? null : new self(min($early, $ripe->ready), $ripe->ready, max($late, $ripe->ready));
    }
}
