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

    public static function fromKilograms(float $kilograms): self
    {
        return new self($kilograms * 1000);
    }

    public static function fromPounds(float $pounds): self
    {
        return new self($pounds * self::POUND);
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
