<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Climate;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\FrostGrade;
use JollyFurrow\Climate\HeatUnits;
use JollyFurrow\Climate\RecordReader;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/**
 * A real daily record: Seattle, 2012 to 2015, out of npm vega-datasets 3.2.1 (seattle-weather.csv), against the same
 * reckoned by a script in another language.
 */
final class SeattleTest extends TestCase
{
    private const SCRIPT = <<<'JS'
        const rows = require('fs').readFileSync('node_modules/vega-datasets/data/seattle-weather.csv', 'utf8').trim().split('\n').slice(1).map((l) => l.split(','));
        const above = (min, max) => { let sum = 0; for (let i = 0; i < 2000; ++i) sum += Math.max(0, (min + max) / 2 + (max - min) / 2 * Math.sin(2 * Math.PI * (i + 0.5) / 2000) - 10) / 2000; return sum; };
        const byYear = {}, heat = {};
        for (const [date, , max, min] of rows) {
          const day = Math.round((Date.parse(date) - Date.UTC(+date.slice(0, 4), 0, 1)) / 864e5);
          (byYear[date.slice(0, 4)] ??= []).push([day, +min]);
          heat[date.slice(0, 7)] = (heat[date.slice(0, 7)] ?? 0) + above(+min, +max);
        }
        const frost = (pick, begin) => Object.values(byYear).map((days) => pick(days.filter(([d, t]) => t <= 0 && (begin ? d >= 183 : d < 183)).map(([d]) => d)));
        const fit = (v, z) => { const m = v.reduce((a, b) => a + b) / v.length; return m + z * Math.sqrt(v.reduce((a, b) => a + (b - m) ** 2, 0) / (v.length - 1)); };
        const last = frost((d) => Math.max(...d), false), first = frost((d) => Math.min(...d), true);
        console.log(JSON.stringify({ last: [fit(last, 1.2816), fit(last, 0), fit(last, -1.2816)], first: [fit(first, -1.2816), fit(first, 0), fit(first, 1.2816)], heat }));
        JS;

    public function testFrostOddsAndHeatUnitsAgreeWithAnotherReckoning(): void
    {
        $other = json_decode((string) shell_exec('cd '.escapeshellarg(\dirname(__DIR__,
            3)).' && node -e '.escapeshellarg(self::SCRIPT)), true);
        self::assertIsArray($other);
        $record = self::record();
        $frost = FrostDates::fromRecord($record, false);

        self::assertSame([4, 1461, 0], [$frost->years, $record->days(), $record->gaps()]);
        self::assertEqualsWithDelta($other['last'], array_values($frost->dates[FrostGrade::Light->value]['last']), 0.001);
        self::assertEqualsWithDelta($other['first'], array_values($frost->dates[FrostGrade::Light->value]['first']), 0.001);
        $heat = [];
        foreach ($record->rows() as [$number, $min, $max]) {
            $month = substr(Day::of($number)->iso(), 0, 7);
            $heat[$month] = ($heat[$month] ?? 0.0) + HeatUnits::sine($min, $max, 10);
        }
        self::assertEqualsWithDelta($other['heat'], $heat, 0.01);
    }

    public function testTheClimateOfARecordHasItsMeansAndItsYears(): void
    {
        $climate = Climate::fromRecord(self::record());
        $july = array_filter(self::record()->max, static fn (int $n): bool => 7 === Day::of($n)->month(), \ARRAY_FILTER_USE_KEY);

        self::assertSame(4, $climate->years);
        self::assertEqualsWithDelta(array_sum($july) / \count($july), $climate->months()['max'][6], 0.7);
        self::assertEqualsWithDelta($climate->values(), Climate::fromValues($climate->values())->values(), 1e-9);
    }

    private static function record(): DailyRecord
    {
        $record = (new RecordReader())->read(Cells::rows((string) file_get_contents(__DIR__.'/../../../node_modules/vega-datasets/data/seattle-weather.csv')));
        self::assertNotNull($record);

        return $record;
    }
}
