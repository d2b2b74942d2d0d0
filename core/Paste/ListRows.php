<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;

/**
 * A list as a person reads it: titles, totals and headings said again are put aside and told, lines without columns are
 * taken apart, a run of beds is a row for each.
 */
final readonly class ListRows
{
    private const LONGEST_RUN = 60;
    private const TOTAL = '/^(grand\s+|sub-?\s?)?(totals?|sums?|in all)\b/i';
    /** Headings are looked for so far down. */
    private const HEAD = 5;
    /** Share of the lines that must be understood without columns. */
    private const MOST = 0.5;

    /**
     * @param list<list<string>> $rows  without headings
     * @param list<string>       $aside rows left out, as they were
     */
    private function __construct(public array $rows, public Columns $columns, public array $aside)
    {
    }

    /** @param list<list<string>> $rows all equally wide */
    public static function of(array $rows, Garden $garden, CropNames $crops): self
    {
        [$rows, $aside] = self::withoutTitles($rows);
        $columns = Columns::of($rows, $garden, $crops);
        $head = $columns->headed ? array_shift($rows) : null;
        $body = [];
        foreach ($rows as $row) {
            if ($row === $head || self::isAside($row)) {
                $aside[] = self::said($row);
            } else {
                $body[] = $row;
            }
        }
        if (!\in_array(Column::Bed, $columns->columns, true) || !\in_array(Column::Crop, $columns->columns, true)) {
            $lines = array_map(static fn (array $row): FreeLine => FreeLine::of(self::said($row), $garden), $body);
            $good = array_filter($lines, static fn (FreeLine $line): bool => '' !== $line->bed && [] !== $crops->meant($line->crop));
            if ([] !== $lines && \count($good) >= self::MOST * \count($lines)) {
                $body = array_map(static fn (FreeLine $line): array => $line->cells(), $lines);
                $columns = Columns::known(FreeLine::columns(), array_column($lines, 'date'));
            }
        }

        return new self(self::bedByBed($body, $columns->columns, $garden), $columns, $aside);
    }

    /**
     * Rows before the headings, and a lone cell above the rest, are no rows of the list.
     *
     * @param list<list<string>> $rows
     *
     * @return array{list<list<string>>, list<string>}
     */
    private static function withoutTitles(array $rows): array
    {
        for ($i = 1; $i < min(self::HEAD, \count($rows)); ++$i) {
            $headings = \count(array_filter(array_map(Column::headed(...), $rows[$i])));
            if ($headings >= 2 && $headings > \count(array_filter(array_map(Column::headed(...), $rows[0])))) {
                return [\array_slice($rows, $i), array_map(self::said(...), \array_slice($rows, 0, $i))];
            }
        }
        $aside = [];
        while (\count($rows) > 1 && \count($rows[0]) > 2 && self::isLone($rows[0]) && !self::isLone($rows[1])) {
            $aside[] = self::said(array_shift($rows) ?? []);
        }

        return [$rows, $aside];
    }

    /** @param list<string> $row */
    private static function isLone(array $row): bool
    {
        return 1 === \count(array_diff($row, ['']));
    }

    /** @param list<string> $row */
    private static function isAside(array $row): bool
    {
        $told = array_values(array_filter($row, static fn (string $c): bool => '' !== $c));

        return 1 === preg_match(self::TOTAL, $told[0] ?? '');
    }

    /**
     * @param list<list<string>> $rows
     * @param list<Column>       $columns
     *
     * @return list<list<string>>
     */
    private static function bedByBed(array $rows, array $columns, Garden $garden): array
    {
        $bed = array_search(Column::Bed, $columns, true);
        $length = array_search(Column::Length, $columns, true);
        $all = [];
        foreach (false === $bed ? [] : $rows as $row) {
            $long = false === $length ? '' : $row[$length] ?? '';
            $beds = self::beds($row[$bed] ?? '', $long, $garden);
            foreach ($beds as $one) {
                $each = array_replace($row, [$bed => $one], false !== $length && \count($beds) > 1
                    ? [$length => self::onEach($long, \count($beds))] : []);
                $all[] = array_values($each);
            }
        }

        return false === $bed ? $rows : $all;
    }

    /** A share of the bed is of each; so many metres may be of all together, and that is asked. */
    private static function onEach(string $length, int $beds): string
    {
        return match (true) {
            1 === preg_match('/^\d+\s*beds?$/i', $length) => '',
            '' === $length, 1 !== preg_match('/^\d+(?:[.,]\d+)?\s?(?!\s?%|\/)\S*$/', $length), str_contains($length, '/') => $length,
            default => \sprintf('%s for %d beds', $length, $beds),
        };
    }

    /** @return non-empty-list<string> */
    private static function beds(string $cell, string $length, Garden $garden): array
    {
        $names = array_map(static fn (Bed $b): string => $b->name, $garden->beds);
        if (\in_array($cell, $names, true) && 1 === preg_match('/^(\d{1,2})\s*beds?$/i', $length, $m) && (int) $m[1] > 1) {
            $at = (int) array_search($cell, $names, true);
            $next = array_filter(\array_slice($garden->beds, $at, (int) $m[1]),
                static fn (Bed $bed): bool => $bed->block === $garden->beds[$at]->block);

            return \count($next) === (int) $m[1] ? array_values(array_map(static fn (Bed $bed): string => $bed->name, $next)) : [$cell];
        }
        if ('' === $cell || \in_array($cell, $names, true)) {
            return [$cell];
        }
        $run = BedRun::of($cell);
        if (null !== $run && $run->count() <= self::LONGEST_RUN) {
            return $run->names();
        }
        $parts = array_values(array_filter(preg_split('/\s*(?:,|\+|&|\/|\band\b)\s*/i', $cell) ?: [],
            static fn (string $p): bool => '' !== $p));
        $isBed = static fn (string $p): bool => \in_array($p, $names, true) || 1 === preg_match('/^[A-Za-z]{1,3}[ -]?\d{1,3}$/', $p);

        return \count($parts) > 1 && $parts === array_filter($parts, $isBed) ? $parts : [$cell];
    }

    /** @param list<string> $row */
    private static function said(array $row): string
    {
        return implode(', ', array_filter($row, static fn (string $c): bool => '' !== $c));
    }
}
