<?php

declare(strict_types=1);

namespace App\Climate;

use App\Wording\Formatter;
use App\Wording\MonthTick;
use App\Wording\Scale;
use App\Wording\TimeAxis;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DayLength;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Time\Day;

/** The year of a place drawn to scale: minimum and maximum with their spread, and the length of the day with its ten-hour line. */
final class YearChart
{
    private const WIDTH = 732.0;
    private const HEIGHT = 260.0;
    private const STEP = 3;
    /** Half as wide as the words on a line are. */
    private const ROOM = 70.0;
    /** Days before the warmest at which the line of the coldest is named. */
    private const SPRING = 95;

    /** @return array{says: array<string, array{x: float, y: float}>, band: array<string, string>, line: array<string, string>, light: string, ten: float, zero: float, degrees: list<array{y: float, label: string}>, months: list<MonthTick>, hours: list<array{y: float, label: string}>} */
    public static function of(Climate $climate, float $latitude, Formatter $format): array
    {
        $axis = new TimeAxis(Day::fromDate(2025, 1, 1)->number, Climate::DAYS, self::WIDTH);
        $low = floor((min([0.0, ...$climate->min]) - 6) / 5) * 5;
        $high = ceil((max([20.0, ...$climate->max]) + 6) / 5) * 5;
        $y = static fn (float $t): float => round(self::HEIGHT * ($high - $t) / ($high - $low), 1);
        $hour = static fn (float $h): float => round(self::HEIGHT * (1 - $h / 24), 1);
        $chart = ['band' => [], 'line' => [], 'degrees' => [], 'months' => [], 'hours' => []];
        foreach (['min' => [$climate->min, $climate->minSd], 'max' => [$climate->max, $climate->maxSd]] as $what => [$mean, $sd]) {
            $up = $down = $line = [];
            for ($n = 0; $n < Climate::DAYS; $n += self::STEP) {
                $x = $axis->at($axis->first + $n);
                $line[] = $x.' '.$y($mean[$n]);
                $up[] = $x.' '.$y($mean[$n] + $sd[$n]);
                $down[] = $x.' '.$y($mean[$n] - $sd[$n]);
            }
            $chart['line'][$what] = 'M'.implode('L', $line);
            $chart['band'][$what] = 'M'.implode('L', $up).'L'.implode('L', array_reverse($down)).'Z';
        }
        $light = [];
        for ($n = 0; $n < 365; $n += self::STEP) {
            $light[] = $axis->at($axis->first + $n).' '.$hour(DayLength::hours($latitude, Day::of($axis->first + $n)));
        }
        foreach (self::degrees($low, $high, $format) as $t) {
            $chart['degrees'][] = ['y' => $y($t), 'label' => $format->bare(Quantity::of($t, Unit::Celsius), 0)->text.'°'];
        }
        foreach ([8, 10, 12, 14, 16] as $h) {
            $chart['hours'][] = ['y' => $hour($h), 'label' => $h.' h'];
        }
        $chart['months'] = $axis->months();

        $warmest = (int) array_search(max([0.0, ...$climate->max]), $climate->max, true);
        $before = ($warmest + Climate::DAYS - self::SPRING) % Climate::DAYS;
        $at = static fn (int $n): float => max(self::ROOM, min(self::WIDTH - self::ROOM, $axis->at($axis->first + $n)));
        $says = ['max' => ['x' => $at($warmest), 'y' => $y($climate->max[$warmest] + $climate->maxSd[$warmest])],
            'min' => ['x' => $at($before), 'y' => $y($climate->min[$before] - $climate->minSd[$before])]];

        return [...$chart, 'says' => $says, 'light' => 'M'.implode('L', $light), 'ten' => $hour(10), 'zero' => $y(0)];
    }

    /** @return list<float> degrees C that are round numbers on the garden's own scale */
    private static function degrees(float $low, float $high, Formatter $format): array
    {
        $scale = Scale::of(Unit::Celsius, $format->units);
        $at = [];
        $step = Units::Metric === $format->units ? 10 : 20;
        $first = null === $scale ? $low : $low * $scale->factor + $scale->offset;
        for ($degree = (int) ceil($first / $step) * $step; null !== $scale && $scale->back((float) $degree) <= $high; $degree += $step) {
            $at[] = $scale->back((float) $degree);
        }

        return $at;
    }
}
