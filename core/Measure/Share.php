<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** A part of a whole, from 0 to 1; typed and shown in per cent. */
final readonly class Share
{
    private function __construct(public float $value)
    {
    }

    public static function of(float $value): self
    {
        if ($value < 0.0 || $value > 1.0) {
            throw new \DomainException(\sprintf('%F is no share; it lies from 0 to 1.', $value));
        }

        return new self($value);
    }

    /**
     * Reads "75", "75 %", "0,2 %": per cent.
     *
     * @throws InvalidShare
     */
    public static function parse(string $text, float $least = 0.0, float $most = 1.0): self
    {
        if (1 !== preg_match('/^\s*(\d{1,3}(?:[.,]\d{1,4})?)\s*%?\s*$/', $text, $m)) {
            throw InvalidShare::notOne($text);
        }
        $value = (float) str_replace(',', '.', $m[1]) / 100;
        if ($value < $least || $value > $most) {
            throw InvalidShare::outside($text, $least, $most);
        }

        return new self($value);
    }
}
