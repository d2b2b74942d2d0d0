<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Stock\RoomWeeks;
use JollyFurrow\Stock\StoreForecast;
use JollyFurrow\Time\Day;

/** What lies in each place week by week: ridges on the soil line, crop upon crop, against the crates there is room for. */
final readonly class StoreChart
{
    public const LEFT = 150;
    private const WIDTH = 26;
    private const HIGH = 84;
    private const GAP = 40;
    private const TOP = 24;
    /** Most crops told apart in one place; the rest is one ridge. */
    private const CROPS = 5;
    private const LABEL = 11.0;
    private const INSIDE = 5.0;
    /** Crates. */
    private const EMPTY = 0.05;

    /**
     * @param list<array{place: string, celsius: float, humidity: int, crates: int|null, soil: float, room: float|null,
     *     full: array{x: float, w: float, from: Day, crates: float}|null,
     *     ridges: list<array{points: string, n: int, name: string, x: float, y: float, isNamed: bool}>}> $rooms
     * @param list<array{x: float, month: string}> $months
     * @param list<string>                         $empty  places where nothing will lie
     */
    private function __construct(public array $rooms, public array $months, public int $width, public int $height,
        public array $empty)
    {
    }

    public static function of(StoreForecast $forecast, CropBook $crops): self
    {
        $rooms = $empty = [];
        $top = self::TOP;
        foreach ($forecast->rooms as $room) {
            if ($room->most() < self::EMPTY) {
                $empty[] = $room->place->name;
                continue;
            }
            $rooms[] = self::room($room, $crops, $top + self::HIGH);
            $top += self::HIGH + self::GAP;
        }
        $width = self::LEFT + self::WIDTH * (StoreForecast::WEEKS - 1) + 10;

        return new self($rooms, [] === $forecast->rooms ? [] : self::months($forecast->rooms[0]), $width, $top, $empty);
    }

    /**
     * @return array{place: string, celsius: float, humidity: int, crates: int|null, soil: float, room: float|null,
     *     full: array{x: float, w: float, from: Day, crates: float}|null,
     *     ridges: list<array{points: string, n: int, name: string, x: float, y: float, isNamed: bool}>}
     */
    private static function room(RoomWeeks $room, CropBook $crops, int $soil): array
    {
        $times = self::HIGH / max(1.0, 1.1 * $room->most(), (float) ($room->place->crates ?? 0));
        $items = $room->items();
        $groups = array_map(static fn (string $item): array => [$item], \array_slice($items, 0, self::CROPS));
        \count($items) > self::CROPS ? $groups[] = \array_slice($items, self::CROPS) : null;
        $below = array_fill(0, StoreForecast::WEEKS, 0.0);
        $ridges = [];
        foreach ($groups as $n => $group) {
            $above = $below;
            foreach (array_keys($below) as $week) {
                foreach ($group as $item) {
                    $above[$week] += $room->crates[$week][$item] ?? 0.0;
                }
            }
            $ridges[] = self::ridge($below, $above, $soil, $times, $n, \count($group) > 1 ? \sprintf('%d more', \count($group))
                : mb_strtolower($crops->get($group[0])->name));
            $below = $above;
        }
        $from = $room->fullFrom();

        return ['place' => $room->place->name, 'celsius' => $room->place->celsius, 'humidity' => $room->place->humidity,
            'crates' => $room->place->crates, 'soil' => $soil, 'room' => null === $room->place->crates ? null : $soil - $times
                * $room->place->crates, 'full' => null === $from ? null : ['x' => self::x($from), 'w' => self::WIDTH * max(1,
                    $room->fullFor()), 'from' => $room->day($from),
                        'crates' => max([0.0, ...array_map($room->over(...), array_keys($room->crates))])],
            'ridges' => $ridges];
    }

    /**
     * @param array<int, float> $below
     * @param array<int, float> $above
     *
     * @return array{points: string, n: int, name: string, x: float, y: float, isNamed: bool}
     */
    private static function ridge(array $below, array $above, int $soil, float $times, int $n, string $name): array
    {
        $up = $down = [];
        $widest = 0;
        foreach ($above as $week => $crates) {
            $up[] = \sprintf('%.1f,%.1f', self::x($week), $soil - $times * $crates);
            array_unshift($down, \sprintf('%.1f,%.1f', self::x($week), $soil - $times * $below[$week]));
            $widest = $crates - $below[$week] > $above[$widest] - $below[$widest] ? $week : $widest;
        }
        $thick = $times * ($above[$widest] - $below[$widest]);

        return ['points' => implode(' ', [...$up, ...$down]), 'n' => $n, 'name' => $name, 'x' => self::x($widest) + self::INSIDE,
            'y' => $soil - $times * ($above[$widest] + $below[$widest]) / 2 + 4, 'isNamed' => $thick >= self::LABEL];
    }

    /** @return list<array{x: float, month: string}> */
    private static function months(RoomWeeks $room): array
    {
        $months = [];
        for ($week = 0, $last = 0; $week < StoreForecast::WEEKS; ++$week) {
            $day = Day::of($room->monday->number + 7 * $week + 6);
            if ($day->month() !== $last) {
                $months[] = ['x' => self::x($week), 'month' => \sprintf('%04d-%02d', $day->year(), $day->month())];
                $last = $day->month();
            }
        }

        return $months;
    }

    private static function x(int $week): float
    {
        return self::LEFT + self::WIDTH * $week;
    }
}
