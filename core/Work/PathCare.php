<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Paths;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;

/** Hoeing, mulching or mowing between the beds of one block. */
final readonly class PathCare
{
    /** Paths are looked after from the first of these days to the second, in the north (common practice, no source). */
    private const FROM = '04-01';
    private const UNTIL = '10-15';
    private const MULCH = '05-10';

    private function __construct(public string $block, public Paths $paths, public Day $day, public float $metres, public float $hours)
    {
    }

    /** @return list<self> from one day to another, both within, by day and block */
    public static function between(Garden $garden, Day $from, Day $until): array
    {
        $care = [];
        foreach ($garden->blocks as $i => $block) {
            $beds = array_values(array_filter($garden->beds, static fn (Bed $bed): bool => $bed->block === $block
                && $bed->path->micrometres > 0));
            $metres = array_sum(array_map(static fn (Bed $bed): float => $bed->length->metres(), $beds));
            $paths = $garden->settings->rules->block($block)->paths;
            foreach ($metres > 0.0 ? self::days($paths, $garden->place->latitude < 0, $from->year() - 1, $until->year(), $i) : [] as $day) {
                if (!$day->isBefore($from) && !$until->isBefore($day)) {
                    $care[] = new self($block, $paths, $day, $metres, $paths->hoursPer100Metres() * $metres / 100);
                }
            }
        }
        usort($care, static fn (self $a, self $b): int => [$a->day->number, $a->block] <=> [$b->day->number, $b->block]);

        return $care;
    }

    /**
     * One block a day, so that it is never the whole garden at once.
     *
     * @return list<Day>
     */
    private static function days(Paths $paths, bool $isSouth, int $first, int $last, int $block): array
    {
        $here = static fn (string $day): MonthDay => $isSouth ? MonthDay::parse($day)->halfAYearLater() : MonthDay::parse($day);
        $days = [];
        for ($year = $first; $year <= $last; ++$year) {
            if (Paths::Mulched === $paths) {
                $days[] = $here(self::MULCH)->in($year)->plus($block);
                continue;
            }
            $start = $here(self::FROM)->in($year)->plus($block % 7);
            $end = $here(self::UNTIL)->in($year);
            $end = $end->isBefore($start) ? $here(self::UNTIL)->in($year + 1) : $end;
            for ($day = $start; !$end->isBefore($day); $day = $day->plus($paths->everyDays())) {
                $days[] = $day;
            }
        }

        return $days;
    }
}
