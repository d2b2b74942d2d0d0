<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Temperature;
use JollyFurrow\Measure\Unit;

/**
 * A temperature: "-2.5", "24 °C", "75 °F"; a bare number counts in the garden's own degrees.
 *
 * @extends TypedField<Temperature>
 */
final class TemperatureType extends TypedField
{
    /** Of the weather, degrees Celsius. */
    private const LEAST = -60.0;
    private const MOST = 55.0;

    protected function write(object $value, array $options): string
    {
        return $this->sayer->formatter()->quantity(Quantity::of($value->celsius, Unit::Celsius))->text;
    }

    protected function parse(string $text, array $options): object
    {
        return Temperature::parse($text, $this->sayer->formatter()->units, self::LEAST, self::MOST);
    }
}
