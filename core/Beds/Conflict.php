<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

/** One planting at odds with one rule, in words with a way out. */
final readonly class Conflict
{
    public function __construct(public Rule $rule, public string $planting, public string $words)
    {
    }

    public function isHard(): bool
    {
        return $this->rule->isHard();
    }
}
