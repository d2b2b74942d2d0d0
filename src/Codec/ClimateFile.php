<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\InvalidClimate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Time\Day;

/** The climate of a garden file: monthly means or a daily record, readings, and what the plan is timed by. */
final class ClimateFile
{
    private const TIMED = ['heat-and-light' => true, 'catalogue-days' => false];

    /** @return array<string, mixed> */
    public static function values(PlaceClimate $climate): array
    {
        return [
            'timed_by' => array_search($climate->isTimedByIt, self::TIMED, true),
            ...(null === $climate->months ? ['record' => self::rows($climate->record ?? new DailyRecord([], [], []))] : []),
            ...(null === ($months = $climate->months ?? $climate->filledBy) ? [] : ['months' => self::monthly($months)]),
            'readings' => self::rows($climate->measured),
        ];
    }

    public static function read(Node $node, float $latitude): ?PlaceClimate
    {
        $timed = $node->text('timed_by', 20);
        if (!isset(self::TIMED[$timed])) {
            $node->fault('timed_by', 'must be heat-and-light or catalogue-days.');
        }
        $readings = DailyRecord::fromRows($node->weatherDays('readings', Limits::RECORD_ROWS));
        try {
            $months = $node->has('months') ? self::months($node->object('months')) : null;

            return null !== $months && !$node->has('record')
                ? PlaceClimate::fromMonths($months, $latitude, self::TIMED[$timed] ?? false, $readings)
                : PlaceClimate::fromRecord(DailyRecord::fromRows($node->weatherDays('record', Limits::RECORD_ROWS)), $latitude,
                    self::TIMED[$timed] ?? false, $readings, $months);
        } catch (InvalidClimate $bad) {
            $node->fault($node->has('record') ? 'record' : 'months', $bad->getMessage());

            return null;
        }
    }

    /** @return array<string, mixed> */
    private static function monthly(MonthlyMeans $months): array
    {
        return ['min_c' => $months->min, 'max_c' => $months->max, ...(null === $months->rain ? [] : ['rain_mm' => $months->rain]),
            ...(null === $months->guess ? [] : ['guessed_for' => $months->guess->value])];
    }

    private static function months(Node $months): MonthlyMeans
    {
        return MonthlyMeans::of($months->numbers('min_c', 12, -60, 55), $months->numbers('max_c', 12, -60, 55), $months->has('rain_mm')
            ? $months->numbers('rain_mm', 12, 0, 1500) : null, $months->has('guessed_for')
                ? $months->choice('guessed_for', Nearness::class) : null);
    }

    /** @return list<array{string, float, float, float|null}> */
    private static function rows(DailyRecord $record): array
    {
        return array_map(static fn (array $row): array => [Day::of($row[0])->iso(), $row[1], $row[2], $row[3]], $record->rows());
    }
}
