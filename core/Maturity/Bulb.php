<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** The day a plant begins to bulb, and what that makes of it. */
final readonly class Bulb
{
    /** @param float $size of the usual size */
    public function __construct(public int $begins, public float $size, public bool $bolts)
    {
    }
}
