<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

/** The next best bed, and what the rules would have weighed there. */
final readonly class RunnerUp
{
    /**
     * @param float                $weight cents
     * @param array<string, float> $bent   cents by rule
     */
    public function __construct(public string $bed, public float $weight, public array $bent)
    {
    }
}
