<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

final readonly class OnceSolution
{
    /**
     * @param list<array{candidate: int, steps: int, end: int, from: int, to: int}> $plantings in order; from and to count units of need
     */
    public function __construct(public float $cost, public int $short, public array $plantings)
    {
    }
}
