<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Time\Day;

/** One day of work: its jobs, the hours they take and the hours there are. */
final readonly class WorkDay
{
    /**
     * @param list<Job>  $jobs  open, done, left and lapsed
     * @param float|null $hands hours of all who work; null: nobody is named
     */
    public function __construct(public Day $day, public array $jobs, public ?float $hands)
    {
    }

    /** @return list<Job> */
    public function open(): array
    {
        return array_values(array_filter($this->jobs, static fn (Job $job): bool => $job->isOpen()));
    }

    /** @return list<Job> */
    public function done(): array
    {
        return array_values(array_filter($this->jobs, static fn (Job $job): bool => TaskState::Done === $job->state));
    }

    /** Hours of what is open and of what is done, as reckoned. */
    public function hours(?Bears $bears = null): float
    {
        return array_sum(array_map(static fn (Job $job): float => null === $bears || $job->first()->bears === $bears ? $job->hours()
            : 0.0, $this->jobs));
    }

    public function over(): float
    {
        return null === $this->hands ? 0.0 : max(0.0, $this->hours() - $this->hands);
    }
}
