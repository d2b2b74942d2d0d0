<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\YearWindow;

/** When a crop usually goes into the ground at a place: what follows there from soil, frost, heat and light. */
final class SowingWindows
{
    private const YEAR = 365;
    /** Holes and windows shorter than this are the model's, not the grower's. Days. */
    private const SHORT = 6;

    /** @return list<YearWindow> in the order of the year; none: never */
    public static function of(Garden $garden, Crop $crop, PlaceType $place, Method $method): array
    {
        $here = new Here($garden);
        $first = Day::fromDate($garden->today->year(), 1, 1);
        $good = [];
        for ($n = 0; $n < self::YEAR; ++$n) {
            $ground = $first->plus($n);
            $sow = $ground->plus(Method::Transplanted === $method ? -$crop->timing->nurseryDays : 0);
            $good[] = null === $here->against($crop, $method, $place, $sow, $ground);
        }

        return array_map(static fn (array $run): YearWindow => YearWindow::between(self::monthDay($first->plus($run[0] % self::YEAR)),
            self::monthDay($first->plus($run[1] % self::YEAR))), self::runs($good));
    }

    /**
     * @param list<bool> $good by day of the year
     *
     * @return list<array{int, int}> first and last day; one over the turn of the year ends beyond it
     */
    private static function runs(array $good): array
    {
        $runs = [];
        [$from, $to] = [null, 0];
        foreach ([...array_keys(array_filter($good)), \PHP_INT_MAX] as $n) {
            if (null !== $from && $n - $to > self::SHORT) {
                $runs[] = [$from, $to];
                $from = null;
            }
            $from ??= $n;
            $to = $n;
        }
        $last = \count($runs) - 1;
        if ($last > 0 && $runs[0][0] + self::YEAR - $runs[$last][1] <= self::SHORT) {
            $runs[] = [$runs[$last][0], $runs[0][1] + self::YEAR];
            $runs = [...\array_slice($runs, 1, $last - 1), $runs[$last + 1]];
        }

        return array_values(array_filter($runs, static fn (array $run): bool => $run[1] - $run[0] >= self::SHORT));
    }

    private static function monthDay(Day $day): MonthDay
    {
        return MonthDay::parse(\sprintf('%02d-%02d', $day->month(), $day->dayOfMonth()));
    }
}
