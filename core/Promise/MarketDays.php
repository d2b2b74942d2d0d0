<?php

declare(strict_types=1);

namespace JollyFurrow\Promise;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;

/** The days an outlet is there: some days of every week, but for the weeks it is closed. */
final readonly class MarketDays
{
    /**
     * @param non-empty-list<Weekday> $weekdays in the order of the week, each once
     * @param list<Period>            $closed   the earliest first
     */
    private function __construct(public array $weekdays, public array $closed)
    {
    }

    public static function every(Weekday $weekday, Weekday ...$more): self
    {
        $byNumber = [];
        foreach ([$weekday, ...array_values($more)] as $one) {
            $byNumber[$one->value] = $one;
        }
        ksort($byNumber);

        return new self(array_values($byNumber), []);
    }

    /** @param list<Period> $closed */
    public function butNot(array $closed): self
    {
        usort($closed, static fn (Period $a, Period $b): int => $a->start->number <=> $b->start->number);

        return new self($this->weekdays, $closed);
    }

    public function isOpenOn(Day $day): bool
    {
        return \in_array($day->weekday(), $this->weekdays, true)
            && [] === array_filter($this->closed, static fn (Period $closed): bool => $closed->contains($day));
    }

    /** @return list<Day> both ends included */
    public function between(Day $from, Day $until): array
    {
        $days = [];
        for ($day = $from; !$until->isBefore($day); $day = $day->plus(1)) {
            $days = $this->isOpenOn($day) ? [...$days, $day] : $days;
        }

        return $days;
    }
}
