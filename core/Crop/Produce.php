<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Units;

/** What is sold and how it keeps. The unit is whole: a head, a bunch, or 100 g. */
final readonly class Produce
{
    public function __construct(
        public string $form,
        public string $unit,
        public float $perMetre,
        public float $packingLoss,
        public int $keepingDays,
        public float $weeklyLoss,
        public bool $stored,
    ) {
    }

    public function isByWeight(): bool
    {
        return Goods::HUNDRED_GRAMS === $this->unit;
    }

    public function goods(float $units): Goods
    {
        return new Goods($units, $this->unit);
    }

    /** What a metre of bed gives, for so many units a metre. */
    public function ofAMetre(float $units): Goods
    {
        return new Goods($units, $this->unit, true);
    }

    /** "12 heads", "3.4 kg", "90 g" */
    public function amount(float $units): string
    {
        if ($this->isByWeight()) {
            return $units < 10 ? Units::number($units * 100, 0).' g' : Units::number($units / 10, 1).' kg';
        }
        $number = Units::number($units, 1);
        $plural = str_ends_with($this->unit, 'ch') ? 'es' : 's';

        return $number.' '.$this->unit.('1' === $number ? '' : $plural);
    }
}
