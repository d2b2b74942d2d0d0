<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/**
 * Days from sowing until the crop is up, by the temperature of the soil: a table of days, read between its
 * temperatures by rate (one over days), for it is the rate that rises in a straight line with warmth. Below the coldest
 * of the table the rate sinks to nought in the same line; above the hottest it is held to the crop's upper limit, and a
 * little further on nothing comes up.
 */
final readonly class Emergence
{
    /** Degrees C above the crop's upper limit over which the rate falls to nought. */
    private const FALLS_OVER = 4.0;
    /** @var non-empty-list<int> */
    private array $temperatures;
    /** @var non-empty-list<float> share of the way a day, at these temperatures */
    private array $rates;

    /**
     * @param non-empty-array<int, float> $days by degrees C, rising; two temperatures at least
     * @param float|null                  $most upper limit of the crop, degrees C; null: the hottest of the table
     */
    public function __construct(public array $days, private ?float $most = null)
    {
        $this->temperatures = array_keys($days);
        $this->rates = array_map(static fn (float $d): float => 1 / $d, array_values($days));
    }

    /** Share of the way to emergence made in one day at that temperature. */
    public function rate(float $t): float
    {
        $last = \count($this->temperatures) - 1;
        if ($last < 1) {
            return 0.0;
        }
        if ($t > $this->temperatures[$last]) {
            $most = max($this->temperatures[$last], $this->most ?? 0.0);

            return $this->rates[$last] * min(1.0, max(0.0, 1 - ($t - $most) / self::FALLS_OVER));
        }
        $i = 1;
        while ($i < $last && $t > $this->temperatures[$i]) {
            ++$i;
        }
        $low = $this->temperatures[$i - 1];

        return max(0.0, $this->rates[$i - 1] + ($t - $low) / ($this->temperatures[$i] - $low) * ($this->rates[$i] - $this->rates[$i - 1]));
    }

    /** Days at a steady temperature; null: it does not come up. */
    public function daysAt(float $t): ?float
    {
        $rate = $this->rate($t);

        return $rate > 0.0 ? 1 / $rate : null;
    }
}
