<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Growth\GrowthSums;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;

/**
 * Bulbs by day length: they begin when the day is long enough for the type and there is leaf, the longer the day the
 * less of it, soon after the longest day at the latest. What little leaf there is then makes them smaller, not later.
 * Own model.
 */
final readonly class Bulbs
{
    /** Share of its days from the beginning of the bulb to the harvest. */
    public const SWELLS = 0.75;
    /** Leaf it has before it begins in days just long enough, share of its days; none in days so many hours longer. */
    private const LEAF = 0.35;
    private const LEAF_HOURS = 2.0;
    /** So many days after the longest it begins whatever leaf it has. */
    private const AT_LATEST = 10;
    private const SMALLEST = 0.4;
    /** Leaf the plant brings with it, and leaf that makes it full size, shares of its days. */
    private const BROUGHT = 0.15;
    private const FULL = 0.40;
    /** Runs to seed by so many chill days on so much leaf. */
    private const CHILL = 40.0;
    private const YEAR = 366;
    /** A type fits where the longest day is so many hours longer than what starts it; one that starts in short days fits anywhere. */
    private const FITS_BELOW = 1.2;
    private const SHORT = 12.0;

    /**
     * @param float       $hours       of day that start it
     * @param list<float> $development
     * @param list<float> $chill
     */
    public function __construct(private float $hours, private Sun $sun, private array $development, private int $first,
        private array $chill)
    {
    }

    /** Null: the day never is so long here. */
    public function from(int $stage, float $days): ?Bulb
    {
        if (!$this->fits()) {
            return null;
        }
        for ($day = $stage; $day < $stage + self::YEAR && isset($this->development[$day - $this->first]); ++$day) {
            if ($this->sun->hoursOn($day) >= $this->hours && $this->begins($stage, $day, $days)) {
                $leaf = $this->between($this->development, $stage, $day);

                return new Bulb($day, min(1.0, self::SMALLEST + (1 - self::SMALLEST) * (self::BROUGHT * $days + $leaf)
                    / max(1.0, self::FULL * $days)), $this->bolts($stage, $day, $days));
            }
        }

        return null;
    }

    /** Null: the type fits the place. */
    public function against(): ?Message
    {
        return $this->fits() ? null : Message::of(Against::DaysTooShort, hours: Quantity::of($this->hours, Unit::Hour),
            longest: Quantity::of(round($this->sun->longest, 1), Unit::Hour));
    }

    private function fits(): bool
    {
        return $this->hours <= max(self::SHORT, $this->sun->longest - self::FITS_BELOW);
    }

    private function begins(int $stage, int $day, float $days): bool
    {
        $since = $this->sun->sinceLongest($day);
        if (!$this->sun->isEven() && $since > self::AT_LATEST && !$this->sun->isRising($day)) {
            return false;
        }
        $missing = min(1.0, max(0.0, ($this->hours + self::LEAF_HOURS - $this->sun->hoursOn($day)) / self::LEAF_HOURS));

        return $this->between($this->development, $stage, $day) >= self::LEAF * $days * $missing
            || (!$this->sun->isEven() && self::AT_LATEST === $since);
    }

    private function bolts(int $stage, int $begins, float $days): bool
    {
        $leafy = GrowthSums::reached($this->development, $this->first, $stage, self::FULL * $days);

        return null !== $leafy && $leafy < $begins && $this->between($this->chill, $leafy, $begins) >= self::CHILL;
    }

    /** @param list<float> $sums */
    private function between(array $sums, int $from, int $until): float
    {
        return ($sums[$until - $this->first] ?? 0.0) - ($sums[$from - $this->first] ?? 0.0);
    }
}
