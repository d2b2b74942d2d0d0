<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** A mass in grams. Pound = 453.59237 g exactly (1959 agreement). */
final readonly class Mass
{
    public const POUND = 453.59237;

    private function __construct(public float $grams)
    {
        if ($grams < 0.0 || !is_finite($grams)) {
            throw new \DomainException(\sprintf('%F grams is no mass.', $grams));
        }
    }

    public static function fromGrams(float $grams): self
    {
        return new self($grams);
    }

    /**
     * Reads "2.5 kg", "300 g", "3lb", "4 oz"; a bare number counts in the units given, as kilograms or pounds.
     *
     * @throws InvalidMass
     */
    public static function parse(string $text, Units $bare, self $least, self $most): self
    {
        if (1 !== preg_match('/^\s*(\d{1,7}(?:[.,]\d{1,4})?)\s*(kg|g|lbs?|oz|)\.?\s*$/i', $text, $m)) {
            throw InvalidMass::notOne($text);
        }
        $grams = (float) str_replace(',', '.', $m[1]) * match (strtolower($m[2])) {
            'g' => 1.0,
            'kg' => 1000.0,
            'oz' => self::POUND / 16,
            '' => Units::UsCustomary === $bare ? self::POUND : 1000.0,
            default => self::POUND,
        };
        if ($grams < $least->grams || $grams > $most->grams) {
            throw InvalidMass::outside($text, $least, $most);
        }

        return new self($grams);
    }

    public function kilograms(): float
    {
        return $this->grams / 1000;
    }

    public function pounds(): float
    {
        return $this->grams / self::POUND;
    }

    /**
     * What a person can weigh out: to 10 g below 1 kg, to 50 g below 10 kg, to half a kilogram above.
     * Rounded half up (common practice, no source).
     */
    public function weighable(): self
    {
        $step = $this->grams < 1000 ? 10 : ($this->grams < 10_000 ? 50 : 500);

        return new self(round($this->grams / $step) * $step);
    }
}
