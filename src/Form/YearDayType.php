<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Time\MonthDay;

/**
 * A day of every year: "12 May", "May 12".
 *
 * @extends TypedField<MonthDay>
 */
final class YearDayType extends TypedField
{
    protected function write(object $value, array $options): string
    {
        return $this->sayer->formatter()->yearly($value)->text;
    }

    protected function parse(string $text, array $options): object
    {
        return MonthDay::parse($text);
    }
}
