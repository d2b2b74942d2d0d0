<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

/** One thing wrong with a plan: which rule, where, and in words. */
final readonly class Fault
{
    public function __construct(public FaultKind $kind, public string $where, public string $words)
    {
    }
}
