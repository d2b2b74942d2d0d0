<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

final readonly class CoverSolution
{
    /** @param list<array{candidate: int, steps: int}> $plantings */
    public function __construct(public float $cost, public int $short, public array $plantings, public int $valuations)
    {
    }
}
