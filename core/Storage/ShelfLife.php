<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/**
 * How fast a lot's life is used up at some warmth and damp, against a day at its best. Own model on published shapes.
 */
final readonly class ShelfLife
{
    /** Deterioration rises two to three times for 10 degrees C (USDA Agriculture Handbook 66, from memory). */
    public const Q10 = 2.5;
    /** Each degree below the chilling limit uses up half a day more a day (own model). */
    private const CHILL = 0.5;
    private const FREEZES = -1.0;
    /** Points of damp off the best that use up a day more a day: too dry wilts, too damp sprouts and rots (own model). */
    private const WILTS = 40.0;
    private const ROTS = 10.0;
    private const BAND = 5;
    /** Onions and garlic sprout most there; warmer they rest again (common practice). */
    private const SPROUTS = 12.5;
    private const RESTS = 0.6;
    /** Nights before the harvest: below the first a squash begins to suffer, below the second fully (common practice). */
    private const COLD_NIGHT = 10.0;
    private const FULL_NIGHT = 5.0;
    private const NIGHT_COSTS = 0.04;
    private const MOST_COST = 0.5;

    public function __construct(public StoreNeeds $needs)
    {
    }

    /** Days of its life a day there uses up; 1.0 at its best. */
    public function rate(float $celsius, ?float $humidity = null): float
    {
        if ($celsius < min(self::FREEZES, $this->needs->celsius - 1.0)) {
            return (float) $this->needs->most;
        }

        return $this->warmth($celsius) * $this->damp($humidity ?? $this->needs->humidity);
    }

    /**
     * Share of life it comes in with.
     *
     * @param list<Flaw>  $flaws
     * @param list<float> $nights lowest degrees C of each night it lay out ripe; of what chills
     */
    public function intake(array $flaws, array $nights = []): float
    {
        $share = 1.0;
        foreach ($flaws as $flaw) {
            $share *= $flaw->leaves();
        }
        $cold = $this->needs->isChilled() ? array_sum(array_map(self::coldNight(...), $nights)) : 0.0;

        return $share * (1.0 - min(self::MOST_COST, self::NIGHT_COSTS * $cold));
    }

    /** 0 at 10 degrees C and above, 1 at 5 and below. */
    public static function coldNight(float $lowest): float
    {
        return max(0.0, min(1.0, (self::COLD_NIGHT - $lowest) / (self::COLD_NIGHT - self::FULL_NIGHT)));
    }

    private function warmth(float $celsius): float
    {
        $chill = null === $this->needs->chill ? 0.0 : max(0.0, $this->needs->chill - $celsius);
        $felt = $this->needs->traits->sprouts && $celsius > self::SPROUTS ? max($this->needs->celsius, self::SPROUTS - self::RESTS
            * ($celsius - self::SPROUTS)) : $celsius;

        return self::Q10 ** (max(0.0, $felt - $this->needs->celsius) / 10) + self::CHILL * $chill;
    }

    private function damp(float $humidity): float
    {
        $off = $humidity - $this->needs->humidity;

        return 1.0 + match (true) {
            abs($off) <= self::BAND => 0.0,
            $off < 0 => $this->needs->isDry() ? 0.0 : (-$off - self::BAND) / self::WILTS,
            default => $this->needs->isDry() ? ($off - self::BAND) / self::ROTS : 0.0,
        };
    }
}
