<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

/** One number that goes into a working. The name is what stands for it in the expression. */
final readonly class Input
{
    private function __construct(
        public string $name,
        public string $label,
        public float $value,
        public string $unit,
        public Source $source,
    ) {
    }

    public static function of(string $name, string $label, float|int $value, string $unit, Source $source): self
    {
        return new self($name, $label, (float) $value, $unit, $source);
    }
}
