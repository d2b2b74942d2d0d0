<?php

declare(strict_types=1);

namespace App\Lists;

/** A list that came in, held against what is there: nothing is kept yet. */
final readonly class ListReading
{
    /**
     * @param list<ListChange> $changes
     * @param list<string>     $faults  by line, in words
     * @param int              $same    rows that are as they were
     */
    public function __construct(public array $changes, public array $faults, public int $same)
    {
    }

    public function fresh(): int
    {
        return \count(array_filter($this->changes, static fn (ListChange $change): bool => $change->isNew));
    }
}
