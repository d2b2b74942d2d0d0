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
     * @param float|null $bulbHours days so long make it bulb, whatever it has grown by then; hours
     */
    public function __construct(
        public TemperatureResponse $temperature,
        public float $reference,
        public Emergence $emergence,
        public bool $anchored,
        public float $slope,
        public ?float $bulbHours = null,
    ) {
    }
}
