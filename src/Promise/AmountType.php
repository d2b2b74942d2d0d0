<?php

declare(strict_types=1);

namespace App\Promise;

use App\Form\BadNumber;
use App\Form\TypedField;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\InvalidMass;
use JollyFurrow\Promise\Amount;

/**
 * How much of a crop is in a product: a number of its units, or a weight.
 *
 * @extends TypedField<Amount>
 */
final class AmountType extends TypedField
{
    protected function write(object $value, array $options): string
    {
        return $value->isWeight ? $this->weight($value->number) : $value->text;
    }

    protected function parse(string $text, array $options): object
    {
        try {
            return Amount::parse($text);
        } catch (InvalidMass) {
            throw BadNumber::amount($text, Amount::LEAST, Amount::MOST, $this->weight(10.0));
        }
    }

    private function weight(float $units): string
    {
        return $this->sayer->goods(new Goods($units, Goods::HUNDRED_GRAMS));
    }
}
