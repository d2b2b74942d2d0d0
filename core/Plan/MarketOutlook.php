<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;

/**
 * What the plantings could bring to each market day, whether or not anything is promised: a harvest counts for a
 * market day when it is fit to cut and keeps until then.
 */
final readonly class MarketOutlook
{
    /** Where no outlet is set up yet (our choice, said so on the page). */
    public const USUAL_DAY = Weekday::Saturday;
    private const USUAL_REACH = 3;

    /**
     * @param list<array{day: Day, outlets: list<string>, amounts: array<string, int>}> $days      units by item
     * @param bool                                                                      $isAssumed no outlet is set up; Saturdays are taken
     */
    private function __construct(public array $days, public bool $isAssumed)
    {
    }

    public static function of(Garden $garden, CropBook $book, int $weeks): self
    {
        $lots = [];
        foreach ($garden->plantings as $planting) {
            foreach (Lot::of($planting, $book->get($planting->item)) as $lot) {
                $lots[] = [$planting->item, $lot];
            }
        }
        $days = [];
        for ($day = $garden->today; $day->since($garden->today) < 7 * $weeks; $day = $day->plus(1)) {
            $outlets = array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => $o->weekday === $day->weekday()));
            if ([] === $outlets && !([] === $garden->outlets && self::USUAL_DAY === $day->weekday())) {
                continue;
            }
            $amounts = [];
            foreach ($lots as [$item, $lot]) {
                $produce = $book->get($item)->produce;
                $reach = [] === $outlets ? min(self::USUAL_REACH, $produce->keepingDays) : max(array_map(static fn (Outlet $o): int => $o->reach($produce), $outlets));
                if ($lot->from <= $day->number && $day->number <= $lot->to + $reach && $lot->units >= 1.0) {
                    $amounts[$item] = ($amounts[$item] ?? 0) + (int) $lot->units;
                }
            }
            $days[] = ['day' => $day, 'outlets' => array_map(static fn (Outlet $o): string => $o->name, $outlets), 'amounts' => $amounts];
        }

        return new self($days, [] === $garden->outlets);
    }

    /**
     * Runs of market days with nothing, first and last.
     *
     * @return list<array{from: Day, to: Day, count: int}>
     */
    public function empty(): array
    {
        $runs = [];
        $open = false;
        foreach ($this->days as ['day' => $day, 'amounts' => $amounts]) {
            if ([] !== $amounts) {
                $open = false;
                continue;
            }
            $last = \count($runs) - 1;
            $runs = $open && $last >= 0 ? [...\array_slice($runs, 0, $last), ['from' => $runs[$last]['from'], 'to' => $day, 'count' => $runs[$last]['count'] + 1]] : [...$runs, ['from' => $day, 'to' => $day, 'count' => 1]];
            $open = true;
        }

        return $runs;
    }
}
