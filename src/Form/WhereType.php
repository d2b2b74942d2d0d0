<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Land\Whereabouts;
use JollyFurrow\Measure\Units;

/**
 * Where a garden lies: "40° N", "40.5, -3.7", "S 33.9, 310 m".
 *
 * @extends TypedField<Whereabouts>
 */
final class WhereType extends TypedField
{
    protected function write(object $value, array $options): string
    {
        return \sprintf('%s° %s', Units::number(abs($value->latitude), 4), $value->latitude < 0 ? 'S' : 'N');
    }

    protected function parse(string $text, array $options): object
    {
        return Whereabouts::parse($text);
    }
}
