<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;

/**
 * How a number came about: what it is, its inputs with their sources, and the formula as an expression over the inputs'
 * names, so that anyone can work it out again.
 *
 * Expressions use + - * / parentheses, ceil(), floor(), round(), min(), max() and pow().
 */
final readonly class Working
{
    public float $value;

    /** @param list<Input> $inputs */
    private function __construct(public Sum $sum, public Quantity|Goods $is, public string $expression, public array $inputs,
        public Source $source)
    {
        $this->value = $is instanceof Goods ? $is->units : $is->value;
    }

    /** @param list<Input> $inputs */
    public static function of(Sum $sum, float|int $value, Unit $unit, string $expression, array $inputs, Source $source): self
    {
        return new self($sum, Quantity::of($value, $unit), $expression, $inputs, $source);
    }

    /** @param list<Input> $inputs */
    public static function goods(Sum $sum, Goods $goods, string $expression, array $inputs, Source $source): self
    {
        return new self($sum, $goods, $expression, $inputs, $source);
    }
}
