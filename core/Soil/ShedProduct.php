<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** What lies in the shed to feed the soil with: its analysis, what it costs, how it is measured out. */
final readonly class ShedProduct
{
    /**
     * @param Nutrients  $percent of its weight, as on the label
     * @param float      $cents   a kilogram
     * @param string     $measure what it is measured with: "scoop", "bucket"; empty: weighed
     * @param float      $step    kilograms of one measure, or the least that is weighed
     * @param float|null $stock   kilograms there are; null: as much as is wanted
     * @param float|null $litre   kilograms a litre, of what is measured by volume
     */
    public function __construct(public string $key, public string $name, public Nutrients $percent, public float $cents,
        public Release $release = Release::Soluble, public Heat $heat = Heat::NoManure, public string $measure = '',
        public float $step = 0.05, public ?float $stock = null, public ?float $litre = null)
    {
    }

    /** So many scoops or buckets, with quarters: 1.25. */
    public function measures(float $kg): float
    {
        return round(4 * $kg / $this->step) / 4;
    }

    /** Grams of each nutrient of use in the crop's time, in a gram of product. */
    public function releases(): Nutrients
    {
        $minerals = $this->release->minerals();

        return $this->percent->shared($this->release->share(), $minerals, $minerals)->times(0.01);
    }
}
