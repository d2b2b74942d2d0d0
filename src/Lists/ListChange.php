<?php

declare(strict_types=1);

namespace App\Lists;

/** One row of a list that is new, or another than it was. */
final readonly class ListChange
{
    /**
     * @param object|null  $is      what it is of now; null: it goes
     * @param string       $key     what tells it from all others; empty: it is new and gets one
     * @param string       $said    its name
     * @param list<string> $differs cell by cell
     */
    public function __construct(public ?object $is, public string $key, public bool $isNew, public string $said, public array $differs)
    {
    }
}
