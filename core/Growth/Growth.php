<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/** How a crop develops: by warmth and light, or anchored to the year. */
final readonly class Growth
{
    /**
     * @param float      $reference degrees C, mean of a day at which the catalogue's days hold
     * @param bool       $anchored  harvested in its season whatever the count of days
     * @param float      $slope     anchored: days later for each week it is planted later
     * @param float|null $bulbHours days so long make it bulb; hours
     */
    public function __construct(
        public TemperatureResponse $temperature,
        public float $reference,
        public Emergence $emergence,
        public bool $anchored,
        public float $slope,
        public ?float $bulbHours = null,
        public LightResponse $light = LightResponse::Ordinary,
    ) {
    }

    /** On a bench what is not tender grows alike, and light counts as for seedlings. */
    public function seedling(): self
    {
        return LightResponse::Warm === $this->light ? $this : new self(new TemperatureResponse(4.0, 22.0, 33.0), 16.0, $this->emergence,
            false, 0.0, null, LightResponse::Seedling);
    }
}
