<?php

declare(strict_types=1);

namespace App\Crop;

use App\Wording\MonthTick;
use App\Wording\Sayer;
use App\Wording\TimeAxis;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\Risk;
use JollyFurrow\Season\SowingDay;
use JollyFurrow\Season\TimingCurve;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** Sowing day across, ready day up: a line for each place type, the catalogue's line, the hold as a band, unsafe days shaded. */
final readonly class TimingChart
{
    private const WIDTH = 730.0;
    private const HEIGHT = 380.0;
    /** So many days up, from the first day of the year. */
    private const DAYS_UP = 540;
    private const STEP = 3;
    /** The rows of what stands against a sowing lie below the months. */
    private const BELOW = 26.0;
    private const ROW = 15.0;
    /** So wide is the longest name of a line. */
    private const NAME = 110.0;

    /**
     * @param list<array{place: PlaceType, line: string, band: string, x: float, y: float}> $lines  with where its name stands
     * @param array<string, list<array{int, int|null, int|null, string}>>                   $points by place type: sowing, ready, last good day, what stands against it
     * @param list<array{day: Day, cells: array<string, TimingCell>}>                       $rows
     * @param list<MonthTick>                                                               $months across
     * @param list<MonthTick>                                                               $up
     * @param list<array{x: float, w: float}>                                               $unsafe
     * @param list<array{risk: Risk, y: float, runs: list<array{x: float, w: float}>}>      $risks
     */
    private function __construct(
        public array $lines,
        public string $catalogue,
        public array $points,
        public array $rows,
        public array $months,
        public array $up,
        public int $first,
        public array $risks,
        public float $height,
        public array $unsafe,
        public float $catalogueEnd,
    ) {
    }

    public static function of(Garden $garden, Crop $crop, Method $method, Sayer $sayer): ?self
    {
        $south = $garden->place->latitude < 0;
        $first = Day::fromDate($garden->today->year() - ($south && $garden->today->month() < 7 ? 1 : 0), $south ? 7 : 1, 1);
        $curves = array_values(array_filter(array_map(static fn (PlaceType $p): ?TimingCurve => TimingCurve::of($garden, $crop, $method,
            $p, $first), PlaceType::cases())));
        $catalogue = ($crop->timing->daysFor($method) ?? 0) + (Method::Transplanted === $method ? $crop->timing->nurseryDays : 0);
        if ([] === $curves || 0 === $catalogue) {
            return null;
        }
        $risks = self::risks($curves[0]->days);

        return new self(
            self::apart(array_map(static fn (TimingCurve $c): array => self::line($c, $first->number), $curves)),
            \sprintf('M0 %sL%s %s', self::y($catalogue), self::WIDTH, self::y(365 + $catalogue)),
            self::points($curves, $sayer),
            self::rows($curves),
            (new TimeAxis($first->number, 365, self::WIDTH))->months(),
            array_map(static fn (MonthTick $tick): MonthTick => new MonthTick(round(self::HEIGHT - $tick->at, 1), $tick->label,
                $tick->year), (new TimeAxis($first->number, self::DAYS_UP, self::HEIGHT))->months()),
            $first->number,
            $risks,
            self::HEIGHT + self::BELOW + self::ROW * (\count($risks) + 1),
            self::runs(array_map(static fn (SowingDay $d): bool => [] !== $d->risks, $curves[0]->days)),
            max(0.0, self::y(365 + $catalogue)),
        );
    }

    /**
     * For the script that reads a sowing off the chart.
     *
     * @param list<TimingCurve> $curves
     *
     * @return array<string, list<array{int, int|null, int|null, string}>>
     */
    private static function points(array $curves, Sayer $sayer): array
    {
        $points = [];
        foreach ($curves as $curve) {
            $points[$curve->place->value] = array_map(static fn (SowingDay $d): array => [$d->sow, $d->ready, $d->last,
                implode('; ', array_map($sayer->text(...), $d->risks))], $curve->days);
        }

        return $points;
    }

    /**
     * Every other week.
     *
     * @param list<TimingCurve> $curves
     *
     * @return list<array{day: Day, cells: array<string, TimingCell>}>
     */
    private static function rows(array $curves): array
    {
        $rows = [];
        foreach ($curves as $curve) {
            foreach ($curve->days as $n => $d) {
                if (0 === $n % 14) {
                    $rows[$n]['day'] = Day::of($d->sow);
                    $rows[$n]['cells'][$curve->place->value] = new TimingCell(null === $d->ready ? null : Day::of($d->ready),
                        null === $d->last ? null : Day::of($d->last), array_values($d->risks));
                }
            }
        }

        return array_values($rows);
    }

    /**
     * When what stands against a sowing in the open (or where it is grown), a run for each.
     *
     * @param list<SowingDay> $days
     *
     * @return list<array{risk: Risk, y: float, runs: list<array{x: float, w: float}>}>
     */
    private static function risks(array $days): array
    {
        $rows = [];
        foreach (Risk::cases() as $risk) {
            $runs = self::runs(array_map(static fn (SowingDay $day): bool => isset($day->risks[$risk->value]), $days));
            if ([] !== $runs) {
                $rows[] = ['risk' => $risk, 'y' => self::HEIGHT + self::BELOW + self::ROW * \count($rows), 'runs' => $runs];
            }
        }

        return $rows;
    }

    /**
     * @param list<bool> $days
     *
     * @return list<array{x: float, w: float}>
     */
    private static function runs(array $days): array
    {
        $runs = [];
        $from = null;
        foreach ([...$days, false] as $n => $is) {
            if ($is) {
                $from ??= $n;
            } elseif (null !== $from) {
                $runs[] = ['x' => self::x($from), 'w' => round(self::x($n) - self::x($from), 1)];
                $from = null;
            }
        }

        return $runs;
    }

    /** @return array{place: PlaceType, line: string, band: string, x: float, y: float} */
    private static function line(TimingCurve $curve, int $first): array
    {
        $line = $band = '';
        $open = null;
        $run = $longest = 0;
        $end = [0.0, 0.0];
        foreach ($curve->days as $n => $d) {
            $isOpen = null !== $d->ready && $d->ready - $first <= self::DAYS_UP;
            if (!$isOpen || 0 !== $n % self::STEP) {
                $open = $isOpen ? $open : null;
                continue;
            }
            $run = null === $open ? 1 : $run + 1;
            if ($run > $longest) {
                [$longest, $end] = [$run, [self::x($n), self::y((int) $d->ready - $first)]];
            }
            $line .= (null === $open ? 'M' : 'L').self::x($n).' '.self::y((int) $d->ready - $first);
            $band .= \sprintf('M%s %sV%s', self::x($n), self::y((int) $d->ready - $first),
                self::y(min(self::DAYS_UP, (int) $d->last - $first)));
            $open = $n;
        }

        return ['place' => $curve->place, 'line' => $line, 'band' => $band, 'x' => $end[0], 'y' => $end[1]];
    }

    /**
     * The names of the lines beside their ends, none over another.
     *
     * @param list<array{place: PlaceType, line: string, band: string, x: float, y: float}> $lines
     *
     * @return list<array{place: PlaceType, line: string, band: string, x: float, y: float}>
     */
    private static function apart(array $lines): array
    {
        usort($lines, static fn (array $a, array $b): int => $b['y'] <=> $a['y']);
        foreach ($lines as $i => $line) {
            $lines[$i]['y'] = 0 === $i ? $line['y'] : min($line['y'], $lines[$i - 1]['y'] - self::ROW);
            $lines[$i]['x'] = min($line['x'], self::WIDTH - self::NAME);
        }
        usort($lines, static fn (array $a, array $b): int => array_search($a['place'], PlaceType::cases(), true)
            <=> array_search($b['place'], PlaceType::cases(), true));

        return $lines;
    }

    private static function x(int $day): float
    {
        return round(self::WIDTH * $day / 365, 1);
    }

    private static function y(int $day): float
    {
        return round(self::HEIGHT * (1 - $day / self::DAYS_UP), 1);
    }
}
