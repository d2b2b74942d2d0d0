<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Message\Sayable;

/** A number and what it counts in. */
final readonly class Quantity implements Sayable
{
    private function __construct(public float $value, public Unit $unit)
    {
    }

    public static function of(float|int $value, Unit $unit): self
    {
        return new self((float) $value, $unit);
    }

    /** A long measure, such as a bed. */
    public static function long(Length $length): self
    {
        return new self($length->metres(), Unit::Metre);
    }

    /** A short measure, such as a spacing. */
    public static function short(Length $length): self
    {
        return new self($length->centimetres(), Unit::Centimetre);
    }

    public static function mass(Mass $mass): self
    {
        return new self($mass->grams, Unit::Gram);
    }

    public static function volume(Volume $volume): self
    {
        return new self($volume->litres, Unit::Litre);
    }

    public static function area(Area $area): self
    {
        return new self($area->squareMetres, Unit::SquareMetre);
    }

    public function logged(): string
    {
        return round($this->value, 3).' '.$this->unit->value;
    }
}
