<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Time\Day;

/**
 * What to do about a day with more work than hands: jobs that can be done another day of the week, at no loss first; and what
 * is left over when the whole week is too short, with what it costs to leave it.
 */
final readonly class Relief
{
    /** A job put off beyond its last day has lost all it can lose after so many days (own model). */
    private const ALL_LOST = 14;

    /**
     * @param list<array{job: Job, to: Day, cents: float}> $moves
     * @param list<Job>                                    $leave that find no hands on any day, the cheapest to leave
     */
    private function __construct(public WorkDay $day, public array $moves, public array $leave)
    {
    }

    /** @return list<self> by day, of those that are over and still to come */
    public static function of(WorkWeek $week): array
    {
        $free = [];
        foreach ($week->days as $day) {
            if (null !== $day->hands && !$day->day->isBefore($week->today)) {
                $free[$day->day->number] = $day->hands - $day->hours();
            }
        }
        $reliefs = [];
        foreach ($week->days as $day) {
            if (($free[$day->day->number] ?? 0.0) < -1e-9) {
                $reliefs[] = self::ofDay($day, $free);
            }
        }

        return $reliefs;
    }

    /** @param array<int, float> $free hours by day; what is moved is taken from them */
    private static function ofDay(WorkDay $day, array &$free): self
    {
        $moves = $leave = [];
        $jobs = $day->open();
        usort($jobs, static fn (Job $a, Job $b): int => [self::price($a), $a->key] <=> [self::price($b), $b->key]);
        $over = -$free[$day->day->number];
        foreach ($jobs as $job) {
            if ($over <= 1e-9 || $job->hours() <= 0.0 || $job->kind->isOfTheDay()) {
                continue;
            }
            $to = self::best($job, $free);
            if (null === $to) {
                continue;
            }
            $moves[] = ['job' => $job, 'to' => $to, 'cents' => self::cost($job, $to)];
            $free[$to->number] -= $job->hours();
            $over -= $job->hours();
        }
        foreach ($over > 1e-9 ? $jobs : [] as $job) {
            if ($over > 1e-9 && $job->hours() > 0.0 && !\in_array($job, array_column($moves, 'job'), true)) {
                $leave[] = $job;
                $over -= $job->hours();
            }
        }
        $free[$day->day->number] = 0.0;

        return new self($day, $moves, $leave);
    }

    /** Cents an hour saved: what costs least for the time it takes goes first. */
    private static function price(Job $job): float
    {
        return $job->cents() / max(0.05, $job->hours());
    }

    /**
     * The day that costs least, of those with hours enough; the soonest of them.
     *
     * @param array<int, float> $free
     */
    private static function best(Job $job, array $free): ?Day
    {
        $best = null;
        foreach ($free as $number => $hours) {
            $day = Day::of($number);
            $isBetter = $number > $job->day->number && $hours >= $job->hours()
                && (null === $best || self::cost($job, $day) < self::cost($job, $best));
            $best = $isBetter ? $day : $best;
        }

        return $best;
    }

    /** Cents lost when it is done on that day: none up to its last day. */
    public static function cost(Job $job, Day $to): float
    {
        return $job->cents() * min(1.0, max(0, $to->since($job->last())) / self::ALL_LOST);
    }
}
