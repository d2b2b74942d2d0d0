<?php

declare(strict_types=1);

namespace App\Job;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Job\WorkDay;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Time\Day;

/** The hours of a week as ridges on the soil line, one a day, with the hours of hands above and the rain over it. */
final readonly class DayRidges
{
    private const DAY_WIDTH = 178;
    private const SOIL = 98;
    private const HIGH = 62;
    private const SIDE = 18;
    private const SLOPE = 8;
    private const MM_A_DROP = 1.5;
    private const MOST_DROPS = 18;

    /**
     * @param list<array{day: WorkDay, x: int, layers: list<array{kind: string, hours: float, points: string, y: float}>,
     *     hands: float|null, label: float, drops: list<array{x: int, y: int}>, rain: float, noon: float|null, isToday: bool}> $days
     */
    private function __construct(public array $days, public int $width, public int $soil)
    {
    }

    public static function of(WorkWeek $week, SoilDays $weather): self
    {
        $most = max([6.0, ...array_map(static fn (WorkDay $d): float => max($d->hours(), $d->hands ?? 0.0), $week->days)]);
        $days = [];
        foreach ($week->days as $n => $day) {
            $x = $n * self::DAY_WIDTH;
            $days[] = ['day' => $day, 'x' => $x, 'layers' => self::layers($day, $x, $most),
                'hands' => null === $day->hands ? null : self::y($day->hands, $most),
                'label' => min(self::y($day->hands ?? 0.0, $most), self::y($day->hours(), $most)) - 3,
                    'drops' => self::drops($weather->rain($day->day), $x),
                'rain' => $weather->rain($day->day), 'noon' => self::noon($weather, $day->day),
                    'isToday' => $day->day->equals($week->today)];
        }

        return new self($days, 7 * self::DAY_WIDTH, self::SOIL);
    }

    private static function noon(SoilDays $weather, Day $day): ?float
    {
        return $weather->noon($day);
    }

    /** @return list<array{kind: string, hours: float, points: string, y: float}> from the soil up */
    private static function layers(WorkDay $day, int $x, float $most): array
    {
        $layers = [];
        $below = 0.0;
        foreach ([Bears::Any, Bears::Dry, Bears::Roof] as $bears) {
            $hours = $day->hours($bears);
            if ($hours < 0.05) {
                continue;
            }
            [$y0, $y1] = [self::y($below, $most), self::y($below + $hours, $most)];
            [$in0, $in1] = [self::inset($below, $most), self::inset($below + $hours, $most)];
            $left = $x + self::SIDE;
            $right = $x + self::DAY_WIDTH - self::SIDE;
            $layers[] = ['kind' => $bears->value, 'hours' => $hours, 'y' => ($y0 + $y1) / 2,
                'points' => \sprintf('%.1f,%.1f %.1f,%.1f %.1f,%.1f %.1f,%.1f', $left + $in0, $y0,
                    $left + $in1, $y1, $right - $in1, $y1, $right - $in0, $y0)];
            $below += $hours;
        }

        return $layers;
    }

    private static function y(float $hours, float $most): float
    {
        return self::SOIL - self::HIGH * $hours / $most;
    }

    private static function inset(float $hours, float $most): float
    {
        return self::SLOPE * $hours / $most * 2;
    }

    /** @return list<array{x: int, y: int}> */
    private static function drops(float $rain, int $x): array
    {
        $drops = [];
        for ($n = 0; $n < min(self::MOST_DROPS, (int) round($rain / self::MM_A_DROP)); ++$n) {
            $drops[] = ['x' => $x + self::DAY_WIDTH - 20 - 10 * ($n % 6), 'y' => 6 + 10 * intdiv($n, 6)];
        }

        return $drops;
    }
}
