<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

/** One of what a mix is made of: how much of it there may be, and is as a rule. Shares of the whole. */
final readonly class MixPart
{
    public function __construct(public string $item, public float $low, public float $usual, public float $high)
    {
    }
}
