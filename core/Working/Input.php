<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;

/** One number that goes into a working. The name is what stands for it in the expression, and finds its words. */
final readonly class Input
{
    public float $value;

    private function __construct(public string $name, public Quantity|Goods $is, public Source $source, public ?Message $label)
    {
        $this->value = $is instanceof Goods ? $is->units : $is->value;
    }

    /** @param Message|null $label where the name alone does not tell enough */
    public static function of(string $name, float|int $value, Unit $unit, Source $source, ?Message $label = null): self
    {
        return new self($name, Quantity::of($value, $unit), $source, $label);
    }

    public static function goods(string $name, Goods $goods, Source $source): self
    {
        return new self($name, $goods, $source, null);
    }
}
