<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** Where and how long the produce keeps. */
final readonly class StoreRoom
{
    /**
     * @param float      $celsius  best temperature
     * @param int        $humidity best relative humidity, per cent
     * @param int        $least    days it keeps at its best
     * @param float|null $chill    colder than this harms it, degrees C
     */
    public function __construct(public float $celsius, public int $humidity, public int $least, public int $most, public ?float $chill,
        public Cleaning $cleaning = Cleaning::Washed)
    {
    }
}
