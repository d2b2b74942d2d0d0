<?php

declare(strict_types=1);

namespace JollyFurrow\Years;

/** Next season's blocks, each given what stood in another one this season. */
final readonly class BlockShift
{
    /**
     * @param int                                       $by     blocks on in walking order; 0: each stays where it is
     * @param array<string, list<array<string, mixed>>> $blocks by the block it would stand in, the largest family first; of each how
     *                                                          many metres it takes, and how many come back too soon
     * @param float                                     $soon   metres that come back too soon, in all
     *
     * @phpstan-param array<string, list<array{family: string, metres: float, soon: float}>> $blocks
     */
    public function __construct(public int $by, public array $blocks, public float $soon)
    {
    }
}
