<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

/**
 * How a number came about: its inputs with their sources, the formula in words, and the same
 * formula as an expression over the inputs' names, so that anyone can work it out again.
 *
 * Expressions use + - * / parentheses, ceil(), floor(), round(), min(), max() and pow().
 */
final readonly class Working
{
    /** @param list<Input> $inputs */
    private function __construct(
        public string $title,
        public float $value,
        public string $unit,
        public string $words,
        public string $expression,
        public array $inputs,
        public Source $source,
    ) {
    }

    /** @param list<Input> $inputs */
    public static function of(string $title, float|int $value, string $unit, string $words, string $expression, array $inputs, Source $source): self
    {
        return new self($title, (float) $value, $unit, $words, $expression, $inputs, $source);
    }
}
