<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Time\BadDay;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/**
 * Reads a daily record out of a table: columns recognised by their headings, units by heading, else asked where the
 * values leave a doubt. Impossible lines are refused by number; gaps are counted.
 */
final class RecordReader
{
    private const MOST_FAULTS = 20;
    /** Of so many bad lines in a hundred the file is not the one that was meant. */
    private const MOST_BAD = 5;
    private const HEADINGS = ['date' => '/^(date|day|time)/', 'min' => '/(min|low)/', 'max' => '/(max|high)/',
        'rain' => '/(rain|prec|prcp)/'];
    private const WETTEST_DAY = 600.0;

    /** @var array<int, string> message by line number */
    public array $faults = [];
    /** @var list<string> questions: "temperature", "rain" */
    public array $doubts = [];
    public string $problem = '';
    private bool $isDayFirst = true;

    /**
     * @param list<list<string>> $rows        the first holds the headings
     * @param string             $temperature "C", "F" or "" to find out
     * @param string             $rain        "mm", "in" or "" to find out
     */
    public function read(array $rows, string $temperature = '', string $rain = ''): ?DailyRecord
    {
        $columns = self::columns($rows[0] ?? []);
        $missing = array_diff(['date', 'min', 'max'], array_keys($columns));
        if ([] !== $missing || \count($rows) - 1 > Limits::RECORD_ROWS) {
            $this->problem = [] !== $missing
                ? \sprintf('No column is the %s. The first line must name the columns: date, minimum, maximum, and rain if there is one.',
                    implode(' or the ', $missing))
                    : \sprintf('The record has %d lines; at most %d go in, which is more than a hundred years.', \count($rows) - 1,
                        Limits::RECORD_ROWS);

            return null;
        }
        $isFahrenheit = 'F' === ($temperature ?: $this->temperature($rows, $columns));
        $isInch = 'in' === ($rain ?: $this->rain($rows, $columns));
        $this->isDayFirst = RecordDay::isDayFirst(array_column(\array_slice($rows, 1), $columns['date']));
        [$min, $max, $rains] = [[], [], []];
        foreach (\array_slice($rows, 1, null, true) as $line => $row) {
            $day = $this->line($line + 1, $row, $columns, $isFahrenheit, $isInch, $min);
            if (null !== $day) {
                [$number, $low, $high, $wet] = $day;
                [$min[$number], $max[$number]] = [$low, $high];
                if (null !== $wet) {
                    $rains[$number] = $wet;
                }
            }
        }
        if (\count($this->faults) > self::MOST_BAD * \count($rows) / 100) {
            $this->problem = \sprintf('%d of %d lines cannot be read. Nothing is taken in.', \count($this->faults), \count($rows) - 1);

            return null;
        }
        ksort($min);
        ksort($max);

        return new DailyRecord($min, $max, $rains);
    }

    /** @return array<int, string> the first of them */
    public function shownFaults(): array
    {
        return \array_slice($this->faults, 0, self::MOST_FAULTS, true);
    }

    /**
     * @param list<string>       $row
     * @param array<string, int> $columns
     * @param array<int, float>  $there
     *
     * @return array{int, float, float, float|null}|null
     */
    private function line(int $line, array $row, array $columns, bool $isFahrenheit, bool $isInch, array $there): ?array
    {
        try {
            $day = RecordDay::parse($row[$columns['date']] ?? '', $this->isDayFirst)->number;
        } catch (InvalidDay $bad) {
            $why = BadDay::NotInCalendar === $bad->said()->code ? 'does not exist in the calendar' : 'is not a date such as 2012-01-31';
            $this->faults[$line] = \sprintf('%s %s.', Quote::of($row[$columns['date']] ?? ''), $why);

            return null;
        }
        $values = $this->values($line, $row, $columns, $isFahrenheit, $isInch);
        if (null === $values || null === $values['min'] || null === $values['max']) {
            return null;
        }
        $this->faults[$line] = match (true) {
            isset($there[$day]) => \sprintf('%s stands twice.', Day::of($day)->iso()),
            $values['min'] > $values['max'] => \sprintf('The minimum, %s, lies above the maximum, %s.', round($values['min'], 1),
                round($values['max'], 1)),
            $values['min'] < MonthlyMeans::COLDEST
                || $values['max'] > MonthlyMeans::HOTTEST => \sprintf('From %s to %s degrees C is not possible%s.',
                    round($values['min'], 1), round($values['max'], 1), $isFahrenheit ? '' : '. Are these degrees Fahrenheit'),
            null !== $values['rain'] && ($values['rain'] < 0
                || $values['rain'] > self::WETTEST_DAY) => \sprintf('%s mm of rain in a day is not possible.', round($values['rain'], 1)),
            default => '',
        };
        if ('' !== $this->faults[$line]) {
            return null;
        }
        unset($this->faults[$line]);

        return [$day, $values['min'], $values['max'], $values['rain']];
    }

    /**
     * @param list<string>       $row
     * @param array<string, int> $columns
     *
     * @return array{min: float|null, max: float|null, rain: float|null}|null degrees C and mm; null: told
     */
    private function values(int $line, array $row, array $columns, bool $isFahrenheit, bool $isInch): ?array
    {
        $values = ['min' => null, 'max' => null, 'rain' => null];
        foreach (['min', 'max', 'rain'] as $what) {
            $text = isset($columns[$what]) ? str_replace(',', '.', trim($row[$columns[$what]] ?? '')) : '';
            if ('' === $text) {
                $values[$what] = null;
            } elseif (is_numeric($text)) {
                $values[$what] = 'rain' === $what ? (float) $text * ($isInch ? 25.4 : 1.0) : ($isFahrenheit ? ((float) $text - 32) / 1.8
                    : (float) $text);
            } else {
                $this->faults[$line] = \sprintf('"%s" is not a number.', mb_substr($text, 0, 20));

                return null;
            }
        }

        return $values;
    }

    /**
     * @param list<string> $headings
     *
     * @return array<string, int>
     */
    private static function columns(array $headings): array
    {
        $columns = [];
        foreach (self::HEADINGS as $what => $pattern) {
            foreach ($headings as $i => $heading) {
                if (!isset($columns[$what]) && 1 === preg_match($pattern, strtolower(trim($heading)))) {
                    $columns[$what] = $i;
                }
            }
        }

        return $columns;
    }

    /**
     * @param list<list<string>> $rows
     * @param array<string, int> $columns
     */
    private function temperature(array $rows, array $columns): string
    {
        $heading = strtolower($rows[0][$columns['max']]);
        if (1 === preg_match('/(°|deg|\b|_|\()\s*([cf])(elsius|ahrenheit)?\b/', $heading, $m)) {
            return strtoupper($m[2]);
        }
        $warm = array_map(static fn (array $row): float => (float) ($row[$columns['max']] ?? ''), \array_slice($rows, 1));
        $hottest = max([0.0, ...$warm]);
        if ($hottest > 45 && $hottest <= 60) {
            $this->doubts[] = 'temperature';
        }

        return $hottest > 45 ? 'F' : 'C';
    }

    /**
     * @param list<list<string>> $rows
     * @param array<string, int> $columns
     */
    private function rain(array $rows, array $columns): string
    {
        if (!isset($columns['rain'])) {
            return 'mm';
        }
        $heading = strtolower($rows[0][$columns['rain']]);
        if (1 === preg_match('/(mm|\bin\b|inch)/', $heading, $m)) {
            return 'mm' === $m[1] ? 'mm' : 'in';
        }
        $wettest = max([0.0, ...array_map(static fn (array $row): float => (float) ($row[$columns['rain']] ?? ''),
            \array_slice($rows, 1))]);
        if ($wettest > 0 && $wettest < 8) {
            $this->doubts[] = 'rain';
        }

        return 'mm';
    }
}
