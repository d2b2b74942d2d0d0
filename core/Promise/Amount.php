<?php

declare(strict_types=1);

namespace JollyFurrow\Promise;

use JollyFurrow\Crop\Produce;
use JollyFurrow\Measure\InvalidMass;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Units;

/** How much of a crop one unit of a product takes, as a grower writes it: so many of the crop's own units, or a weight. */
final readonly class Amount
{
    public const LEAST = 0.001;
    public const MOST = 100_000.0;

    private const UNITS_A_GRAM = 1 / 100;

    /** @param string $text as it was typed */
    private function __construct(public string $text, public float $number, public bool $isWeight)
    {
    }

    /** @param float $units of the crop's own */
    public static function ofUnits(float $units): self
    {
        return new self(Units::number($units, 6), $units, false);
    }

    /** As a product has it: a weight where the crop is sold by weight. */
    public static function in(Part $part, Produce $produce): self
    {
        return new self(Units::number($part->units, 6), $part->units, $produce->isByWeight());
    }

    /**
     * Reads "2", "0,5", "1 lb", "500 g".
     *
     * @throws InvalidMass where it is neither a number nor a weight, or outside LEAST to MOST units
     */
    public static function parse(string $text): self
    {
        $isWeight = 1 !== preg_match('/^\s*(\d{1,6}(?:[.,]\d{1,6})?)\s*$/', $text, $m);
        $units = $isWeight ? Mass::parse($text, Units::Metric, Mass::fromGrams(self::LEAST / self::UNITS_A_GRAM),
            Mass::fromGrams(self::MOST / self::UNITS_A_GRAM))->grams * self::UNITS_A_GRAM : (float) str_replace(',', '.', $m[1] ?? '');
        if ($units < self::LEAST || $units > self::MOST) {
            throw InvalidMass::notOne($text);
        }

        return new self(trim($text), $units, $isWeight);
    }

    /** In the produce's own units; null: it is weighed, and the crop is sold by the piece. */
    public function of(Produce $produce): ?float
    {
        return $this->isWeight && !$produce->isByWeight() ? null : $this->number;
    }
}
