<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Measure\Money;

/**
 * An amount of money: "2.50", "2,5". The label names the currency.
 *
 * @extends TypedField<Money>
 */
final class MoneyType extends TypedField
{
    protected function write(object $value, array $options): string
    {
        return $value->text();
    }

    protected function parse(string $text, array $options): object
    {
        return Money::parse($text);
    }
}
