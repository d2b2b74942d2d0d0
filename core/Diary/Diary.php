<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

/** What people keep beside the plan: what was ticked, who works when, jobs and care of their own. */
final readonly class Diary
{
    /**
     * @param list<Mark>    $marks    in the order they were made
     * @param list<Worker>  $workers
     * @param list<OwnJob>  $ownJobs
     * @param list<OwnCare> $ownCare
     * @param list<SeedLot> $seedLots
     */
    public function __construct(public array $marks = [], public array $workers = [], public array $ownJobs = [],
        public array $ownCare = [], public array $seedLots = [])
    {
    }

    public function isEmpty(): bool
    {
        return [] === $this->marks && [] === $this->workers && [] === $this->ownJobs && [] === $this->ownCare && [] === $this->seedLots;
    }

    /**
     * The same with marks more.
     *
     * @param list<Mark> $marks
     */
    public function marking(array $marks): self
    {
        return new self([...$this->marks, ...$marks], $this->workers, $this->ownJobs, $this->ownCare, $this->seedLots);
    }
}
