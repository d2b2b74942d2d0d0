<?php

declare(strict_types=1);

namespace JollyFurrow\Supply;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Produce;
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
        $days = self::marketDays($garden, $weeks);
        $supply = new TrueSupply($garden, $book);
        foreach ($garden->plantings as $planting) {
            $days = self::offered($garden, $days, $planting->item, $book->grown($planting->item, $planting->variety)->produce,
                $supply->lots($planting));
        }
        foreach ($supply->loose() as $item => $lots) {
            $days = self::offered($garden, $days, $item, $book->get($item)->produce, $lots);
        }
        $days = array_values(array_map(static fn (array $d): array => ['day' => $d['day'],
            'outlets' => array_map(static fn (Outlet $o): string => $o->name, self::outlets($garden, $d['day'])),
            'amounts' => $d['amounts']], $days));

        return new self($days, [] === $garden->outlets);
    }

    /**
     * @param array<int, array{day: Day, amounts: array<string, int>}> $days
     * @param list<Lot>                                                $lots
     *
     * @return array<int, array{day: Day, amounts: array<string, int>}>
     */
    private static function offered(Garden $garden, array $days, string $item, Produce $produce, array $lots): array
    {
        foreach ($lots as $lot) {
            for ($day = max($lot->from, $garden->today->number); $lot->units >= 1.0 && $day <= max($lot->goodUntil ?? 0, $lot->to
                + $produce->keepingDays); ++$day) {
                if (isset($days[$day]) && $lot->serves($day, self::reach($garden, $days[$day]['day'], $produce))) {
                    $days[$day]['amounts'][$item] = ($days[$day]['amounts'][$item] ?? 0) + (int) $lot->units;
                }
            }
        }

        return $days;
    }

    /** @return array<int, array{day: Day, amounts: array<string, int>}> by day number */
    private static function marketDays(Garden $garden, int $weeks): array
    {
        $days = [];
        for ($day = $garden->today; $day->since($garden->today) < 7 * $weeks; $day = $day->plus(1)) {
            if ([] !== self::outlets($garden, $day) || ([] === $garden->outlets && self::USUAL_DAY === $day->weekday())) {
                $days[$day->number] = ['day' => $day, 'amounts' => []];
            }
        }

        return $days;
    }

    /** @return list<Outlet> that sell on that day */
    private static function outlets(Garden $garden, Day $day): array
    {
        return array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => $o->days->isOpenOn($day)));
    }

    /** How old produce may be on that market day, for the outlet that takes it oldest. */
    private static function reach(Garden $garden, Day $day, Produce $produce): int
    {
        $reaches = array_map(static fn (Outlet $o): int => $o->reach($produce), self::outlets($garden, $day));

        return [] === $reaches ? min(self::USUAL_REACH, $produce->keepingDays) : max($reaches);
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
            $runs = $open && $last >= 0 ? [...\array_slice($runs, 0, $last), ['from' => $runs[$last]['from'], 'to' => $day,
                'count' => $runs[$last]['count'] + 1]] : [...$runs, ['from' => $day, 'to' => $day, 'count' => 1]];
            $open = true;
        }

        return $runs;
    }
}
