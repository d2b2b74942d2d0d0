<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

/** What there is on the days of a spread: hours, hours beyond them at a price, what is ripe, room at night. */
final readonly class SpreadDays
{
    /**
     * @param non-empty-list<float>          $hours    by day
     * @param list<float>                    $overtime most hours beyond those, by day
     * @param float                          $price    cents an hour of overtime
     * @param array<string, array<int, int>> $ripe     most units by source and day; a source not named: no more than is wanted of it
     * @param array<string, list<float>>     $rooms    crates free by room and night; a room not named: not counted
     */
    public function __construct(public array $hours, public array $overtime, public float $price, public array $ripe = [],
        public array $rooms = [])
    {
    }

    public function count(): int
    {
        return \count($this->hours);
    }

    public function most(int $day): float
    {
        return $this->hours[$day] + ($this->overtime[$day] ?? 0.0);
    }

    /** Cents for so many hours of work on a day. */
    public function cost(int $day, float $hours): float
    {
        return $this->price * max(0.0, $hours - $this->hours[$day]);
    }
}
