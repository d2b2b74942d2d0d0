<?php

declare(strict_types=1);

namespace App\Pick;

use JollyFurrow\Pick\PickDay;
use JollyFurrow\Pick\PickList;
use JollyFurrow\Time\Day;

/** Hours of picking day by day as ridges on the soil line, against the hours left beside other work. */
final readonly class PickRidges
{
    public const HIGH = 96;
    private const WIDTH = 78;
    private const TOP = 30;
    private const NAMES = 22;

    /**
     * @param list<array{x: float, day: Day, points: string, hours: float, free: float|null, line: float|null, isOver: bool,
     *     isMarket: bool}> $days
     */
    private function __construct(public array $days, public int $width, public int $height, public int $soil)
    {
    }

    public static function of(PickList $list): self
    {
        $soil = self::TOP + self::HIGH;
        $most = max([1.0, ...array_map(static fn (PickDay $d): float => max($d->hours, $d->free ?? 0.0), $list->days)]);
        $markets = array_flip(array_map(static fn (Day $d): int => $d->number, $list->markets));
        $days = [];
        foreach ($list->days as $n => $day) {
            $x = 6.0 + self::WIDTH * $n;
            $top = $soil - self::HIGH * $day->hours / $most;
            $days[] = ['x' => $x + self::WIDTH / 2, 'day' => $day->day, 'points' => \sprintf('%.1f,%d %.1f,%.1f %.1f,%.1f %.1f,%d', $x + 4,
                $soil, $x + 16, $top, $x + self::WIDTH - 16, $top, $x + self::WIDTH - 4, $soil), 'hours' => $day->hours,
                'free' => $day->free, 'line' => null === $day->free ? null : $soil - self::HIGH * $day->free / $most,
                'isOver' => $day->over() > 0.05, 'isMarket' => isset($markets[$day->day->number])];
        }

        return new self($days, 12 + self::WIDTH * \count($days), $soil + 2 * self::NAMES, $soil);
    }
}
