<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Garden\Garden;

/** Which column of a pasted list is which: by its heading, else by what its cells look like. What is doubtful is to be asked. */
final readonly class Columns
{
    /** Share of the cells that must look alike. */
    private const MOST = 0.6;
    private const WHICH_DAY = 'Is this the day it was sown in the bed, planted out, or sown in trays?';

    /**
     * @param list<Column>       $columns
     * @param array<int, string> $doubts  question by column
     * @param bool               $headed  the first row holds headings
     */
    private function __construct(public array $columns, public array $doubts, public bool $headed)
    {
    }

    /**
     * Columns that are known, but for what a day is the day of.
     *
     * @param list<Column> $columns
     * @param list<string> $days
     */
    public static function known(array $columns, array $days): self
    {
        $date = array_search(Column::Date, $columns, true);
        $isAsked = false !== $date && [] !== array_filter($days,
            static fn (string $day): bool => '' !== $day && null === PastedDay::how($day));

        return new self($columns, $isAsked ? [$date => self::WHICH_DAY] : [], false);
    }

    /** @param list<list<string>> $rows */
    public static function of(array $rows, Garden $garden, CropNames $crops): self
    {
        $headings = array_map(Column::headed(...), $rows[0] ?? []);
        $headed = \count(array_filter($headings)) >= 2 || (1 === \count(array_filter($headings)) && 1 === \count($headings));
        $body = $headed ? \array_slice($rows, 1) : $rows;
        $columns = $doubts = [];
        foreach (array_keys($rows[0] ?? []) as $i) {
            $cells = array_values(array_filter(array_map(static fn (array $row): string => $row[$i], $body),
                static fn (string $c): bool => '' !== $c));
            $column = ($headed ? $headings[$i] : null) ?? self::guess($cells, $garden, $crops, $columns);
            if (\in_array($column, $columns, true) && Column::Nothing !== $column) {
                $doubts[$i] = \sprintf('Another column is "%s" already. What is this one?', $column->words());
                $column = Column::Nothing;
            }
            $columns[] = $column;
            if (Column::Date === $column && [] !== array_filter($cells, static fn (string $c): bool => null === PastedDay::how($c))) {
                $doubts[$i] = self::WHICH_DAY;
            }
            if (Column::Nothing === $column && [] !== $cells && !isset($doubts[$i])) {
                $doubts[$i] = 'Not recognised. What is it?';
            }
        }

        return new self($columns, $doubts, $headed);
    }

    /**
     * @param list<string> $cells
     * @param list<Column> $before
     */
    private static function guess(array $cells, Garden $garden, CropNames $crops, array $before): Column
    {
        $beds = $garden->bedsByName();
        $tests = [
            [Column::Date, static fn (string $c): bool => PastedDay::isOne($c, $garden->today)],
            [Column::Crop, static fn (string $c): bool => [] !== $crops->meant($c)],
            [Column::Bed, static fn (string $c): bool => isset($beds[$c]) || 1 === preg_match('/^[A-Za-z]{1,3}[ -]?\d{1,3}$/', $c)],
            [Column::Length, PastedLength::isOne(...)],
        ];
        foreach ($tests as [$column, $looks]) {
            if ([] !== $cells && !\in_array($column, $before, true)
                && \count(array_filter($cells, $looks)) >= self::MOST * \count($cells)) {
                return $column;
            }
        }

        return Column::Nothing;
    }
}
