<?php

declare(strict_types=1);

namespace JollyFurrow\Laboratory;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Texture;
use JollyFurrow\Time\Day;

/**
 * A laboratory's table read as soil tests of this garden's beds. What it does not say is asked, never guessed: units, the way
 * something was drawn out, which bed a sample is of, which of two samples of one bed counts.
 */
final readonly class SoilReport
{
    /** Headings that must be known before a row is taken for the head. */
    private const KNOWN = 2;
    private const HEAD_WITHIN = 15;
    public const MEAN = 'mean';
    public const LEFT_OUT = '-';

    /**
     * @param list<ReportColumn>             $columns
     * @param list<ReportRow>                $rows
     * @param array<string, list<ReportRow>> $twice   samples of one place and day, by place
     * @param array<string, string>          $answers
     */
    private function __construct(public array $columns, public array $rows, public array $twice, private array $answers,
        private Garden $garden)
    {
    }

    /**
     * @param list<list<string>>    $table   as it was pasted
     * @param array<string, string> $answers to what was asked
     */
    public static function read(array $table, array $answers, Garden $garden): self
    {
        [$head, $columns] = self::columns($table, $answers);
        $rows = [];
        foreach (\array_slice($table, $head + 1, null, true) as $n => $cells) {
            $row = self::row($n, $cells, $columns, $answers, $garden);
            $rows = null === $row ? $rows : [...$rows, $row];
        }
        $by = [];
        foreach ($rows as $row) {
            if (null !== $row->place && self::LEFT_OUT !== $row->place) {
                $by[$row->place.'@'.($row->day->number ?? 0)][] = $row;
            }
        }

        return new self($columns, $rows, array_filter($by, static fn (array $of): bool => \count($of) > 1), $answers, $garden);
    }

    /** Nothing is left to ask. */
    public function isPlain(): bool
    {
        $asks = array_filter($this->columns, static fn (ReportColumn $c): bool => [] !== $c->asks());
        $nowhere = array_filter($this->rows, static fn (ReportRow $r): bool => null === $r->place || [] !== $r->wrong);
        $open = array_filter(array_keys($this->twice), fn (string $key): bool => '' === $this->chosen($key));

        return [] !== $this->rows && [] === $asks && [] === $nowhere && [] === $open;
    }

    /** Which of several samples of one place counts: its number, or the mean; empty: not said. */
    public function chosen(string $key): string
    {
        return $this->answers[self::field($key)] ?? '';
    }

    /** The name of the field that asks it. */
    public static function field(string $key): string
    {
        return 'twice-'.hash('xxh32', $key);
    }

    /**
     * @param Day          $day   where the report has no date, or one that could be read in two ways
     * @param list<string> $taken keys of tests there are
     *
     * @return list<SoilTest>
     */
    public function tests(Day $day, array $taken, string $words): array
    {
        $by = [];
        foreach ($this->rows as $row) {
            if (null !== $row->place && self::LEFT_OUT !== $row->place) {
                $by[$row->place.'@'.($row->day->number ?? 0)][] = $row;
            }
        }
        $tests = [];
        $n = 0;
        foreach ($by as $key => $rows) {
            $chosen = $this->chosen($key);
            $rows = \count($rows) > 1 && self::MEAN !== $chosen ? array_values(array_filter($rows,
                static fn (ReportRow $r): bool => (string) $r->number === $chosen)) : $rows;
            if ([] === $rows) {
                continue;
            }
            do {
                $name = 'l'.++$n;
            } while (\in_array($name, $taken, true));
            $tests[] = $this->test($name, $rows, $rows[0]->day ?? $day, $words);
        }

        return $tests;
    }

    /** @param non-empty-list<ReportRow> $rows of one place, taken together */
    private function test(string $key, array $rows, Day $day, string $words): SoilTest
    {
        $values = [];
        foreach ($rows as $row) {
            foreach ($row->values as $value => $number) {
                $values[$value][] = $number;
            }
        }
        $of = static fn (ReportValue $value): ?float => isset($values[$value->value]) ? array_sum($values[$value->value])
            / \count($values[$value->value]) : null;
        $column = fn (ReportValue $value): ?ReportColumn => array_values(array_filter($this->columns,
            static fn (ReportColumn $c): bool => $c->value === $value))[0] ?? null;
        $place = $rows[0]->place ?? '';
        $isBed = isset($this->garden->bedsByName()[$place]);
        $depth = $of(ReportValue::Depth);
        $samples = implode(', ', array_map(static fn (ReportRow $r): string => $r->sample, $rows));

        return new SoilTest($key, $isBed ? $place : '', $isBed ? '' : $place, $day, null === $depth || $depth <= 0.0 ? null
            : Length::fromCentimetres(min(200.0, $depth)), $of(ReportValue::Ph), $of(ReportValue::Buffer), $of(ReportValue::Organic),
            $of(ReportValue::P), $column(ReportValue::P)?->extract, $of(ReportValue::K), $column(ReportValue::K)?->extract,
            $of(ReportValue::Ca), $of(ReportValue::Mg), $of(ReportValue::S), $of(ReportValue::B), $of(ReportValue::Salt),
            $column(ReportValue::Salt)?->salt, $of(ReportValue::Cec), self::texture($rows[0]->texture),
            words: mb_substr(trim($words.' '.$samples), 0, 400));
    }

    /**
     * @param list<list<string>>    $table
     * @param array<string, string> $answers
     *
     * @return array{int, list<ReportColumn>} row of the headings, and what they say; units in a row of their own belong to them
     */
    private static function columns(array $table, array $answers): array
    {
        foreach (\array_slice($table, 0, self::HEAD_WITHIN, true) as $n => $cells) {
            $known = array_filter(array_map(ReportValue::of(...), $cells));
            if (\count($known) < self::KNOWN || [] !== array_filter($cells, static fn (string $c): bool => null !== self::number($c))) {
                continue;
            }
            $units = $table[$n + 1] ?? [];
            $isUnits = [] !== $units && [] === array_filter($units, static fn (string $c): bool => null !== self::number($c))
                && [] !== array_filter($units, static fn (string $c): bool => 1 === preg_match('#ppm|mg|lb|kg|%|ds/m|ms/cm#i', $c));
            $columns = [];
            foreach ($known as $i => $value) {
                $columns[] = ReportColumn::of($i, trim($cells[$i].($isUnits ? ' '.($units[$i] ?? '') : '')), $value, $answers);
            }

            return [$n + ($isUnits ? 1 : 0), $columns];
        }

        return [\count($table), []];
    }

    /**
     * @param list<string>          $cells
     * @param list<ReportColumn>    $columns
     * @param array<string, string> $answers
     */
    private static function row(int $n, array $cells, array $columns, array $answers, Garden $garden): ?ReportRow
    {
        $values = $wrong = [];
        $sample = $texture = '';
        $day = null;
        foreach ($columns as $column) {
            $cell = trim($cells[$column->index] ?? '');
            if ('' === $cell) {
                continue;
            }
            if (ReportValue::Sample === $column->value) {
                $sample = '' === $sample ? $cell : $sample.' '.$cell;
            } elseif (ReportValue::Texture === $column->value) {
                $texture = $cell;
            } elseif (ReportValue::Date === $column->value) {
                $day = self::day($cell);
            } else {
                $number = self::number($cell);
                $wrong = null === $number ? [...$wrong, $cell] : $wrong;
                $values += null === $number ? [] : [$column->value->value => $column->inMgPerKg($number)];
            }
        }

        return [] === $values && [] === $wrong ? null : new ReportRow($n, $sample, self::place($n, $sample, $answers, $garden), $day,
            $values,
            $texture, $wrong);
    }

    /** @param array<string, string> $answers */
    private static function place(int $n, string $sample, array $answers, Garden $garden): ?string
    {
        $known = [...array_map(strval(...), array_keys($garden->bedsByName())), ...$garden->blocks];
        $said = $answers['place-'.$n] ?? '';
        if (self::LEFT_OUT === $said || \in_array($said, $known, true)) {
            return $said;
        }
        $bare = mb_strtolower(trim((string) preg_replace('/^(bed|block)\s+/i', '', $sample)));
        foreach ($known as $name) {
            if (mb_strtolower($name) === $bare) {
                return $name;
            }
        }

        return null;
    }

    /** "5.6", "5,6", "<5" (taken as 5), "1 240"; null: no number. */
    private static function number(string $cell): ?float
    {
        $bare = str_replace([' ', "\u{a0}"], '', ltrim(trim($cell), '<>~ '));
        $bare = 1 === preg_match('/^\d+,\d+$/', $bare) ? str_replace(',', '.', $bare) : $bare;

        return 1 === preg_match('/^\d{1,7}(\.\d{1,4})?%?$/', $bare) ? (float) $bare : null;
    }

    private static function day(string $cell): ?Day
    {
        try {
            return Day::parse($cell);
        } catch (BadInput) {
            return null;
        }
    }

    private static function texture(string $text): ?Texture
    {
        $text = mb_strtolower($text);

        return match (true) {
            str_contains($text, 'peat') || str_contains($text, 'muck') => Texture::Peat,
            str_contains($text, 'sandy loam') => Texture::SandyLoam,
            str_contains($text, 'clay loam') => Texture::ClayLoam,
            str_contains($text, 'loam') => Texture::Loam,
            str_contains($text, 'clay') => Texture::Clay,
            str_contains($text, 'sand') => Texture::Sand,
            default => null,
        };
    }
}
