<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

/** An ISO 8601 week: Monday to Sunday, belonging to the year its Thursday falls in. */
final readonly class Week
{
    private function __construct(public int $year, public int $number, private int $monday)
    {
    }

    public static function containing(Day $day): self
    {
        $monday = $day->number - ($day->weekday()->value - 1);
        $thursday = Day::of($monday + 3);

        return new self($thursday->year(), intdiv($thursday->dayOfYear() - 1, 7) + 1, $monday);
    }

    public function monday(): Day
    {
        return Day::of($this->monday);
    }

    public function next(): self
    {
        return self::containing(Day::of($this->monday + 7));
    }

    /** "2026-W53" */
    public function label(): string
    {
        return \sprintf('%04d-W%02d', $this->year, $this->number);
    }

    public function equals(self $other): bool
    {
        return $this->monday === $other->monday;
    }
}
