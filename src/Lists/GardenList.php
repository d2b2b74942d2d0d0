<?php

declare(strict_types=1);

namespace App\Lists;

use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Message\Message;

/**
 * One kind of list of a garden, out to rows of text and in from them. What comes in is held cell by cell against what would
 * go out: an unchanged row is no change, whatever it was rounded to. Rows that are not in it stay as they are.
 *
 * @template T of object
 */
abstract readonly class GardenList
{
    /** Headings are looked for so far down. */
    private const HEAD = 5;

    public function __construct(protected Sayer $sayer)
    {
    }

    /** @return non-empty-array<string, non-empty-list<string>> headings by column, the one that is written first */
    abstract public function heads(): array;

    /** @return list<string> columns that must be there for a row to be known or made */
    abstract protected function needs(): array;

    /** @return array<string, array<string, string>> cells by column, by what tells a row from all others */
    abstract public function rows(Garden $garden): array;

    /**
     * What tells the row from all others, as in rows(); empty: it is a new one.
     *
     * @param array<string, string> $cells
     */
    abstract protected function key(Garden $garden, array $cells): string;

    /** @return T|null what the row is of now; null: its faults are with the entry, or it goes */
    abstract protected function item(Garden $garden, Entry $entry, string $key): ?object;

    /**
     * The garden the next row is read in.
     *
     * @param T $item
     */
    protected function then(Garden $garden, object $item): Garden
    {
        return $garden;
    }

    /** @param list<list<string>> $rows of a file */
    public function read(Garden $garden, array $rows): ListReading
    {
        [$columns, $from] = $this->columns($rows);
        if (null === $columns) {
            $missing = array_map(fn (string $column): string => $this->heads()[$column][0], $this->needs());

            return new ListReading([], [\sprintf('The first row must hold the headings, %s among them.', implode(', ', $missing))], 0);
        }
        $there = $this->rows($garden);
        $changes = $faults = $seen = [];
        $same = 0;
        foreach (\array_slice($rows, $from, preserve_keys: true) as $line => $row) {
            $cells = [];
            foreach ($columns as $i => $column) {
                $cells[$column] = $row[$i] ?? '';
            }
            $key = $this->key($garden, $cells);
            $was = $there[$key] ?? null;
            $differ = null === $was ? $cells : array_filter($cells, static fn (string $is, string $column): bool => $is !== $was[$column],
                \ARRAY_FILTER_USE_BOTH);
            if ([] === $differ || '' === implode('', $cells)) {
                ++$same;
                continue;
            }
            $entry = new Entry(['line' => (string) ($line + 1), ...($was ?? []), ...$cells]);
            $twice = '' !== $key && isset($seen[$key]) ? \sprintf('The same as line %d.', $seen[$key]) : '';
            $item = '' === $twice ? $this->item($garden, $entry, null === $was ? '' : $key) : null;
            $seen[$key] = $line + 1;
            foreach (['' === $twice ? null : $twice, ...$entry->faults()] as $column => $fault) {
                $faults = null === $fault ? $faults : [...$faults, $this->fault($line + 1, (string) $column, $fault)];
            }
            if ('' === $twice && $entry->isGood()) {
                $garden = null === $item ? $garden : $this->then($garden, $item);
                $changes[] = new ListChange($item, $key, null === $was, $this->said($cells), $this->differences($was ?? [], $differ));
            }
        }

        return new ListReading($changes, $faults, $same);
    }

    /** @return list<list<string>> with a row of headings */
    public function out(Garden $garden): array
    {
        $columns = array_keys($this->heads());

        return [array_map(fn (string $column): string => $this->heads()[$column][0], $columns),
            ...array_map(static fn (array $row): array => array_map(static fn (string $column): string => $row[$column] ?? '', $columns),
                array_values($this->rows($garden)))];
    }

    /**
     * @param list<list<string>> $rows
     *
     * @return array{array<int, string>|null, int} columns by place, and where the rows begin
     */
    private function columns(array $rows): array
    {
        foreach (\array_slice($rows, 0, self::HEAD) as $at => $row) {
            $found = [];
            foreach ($row as $i => $heading) {
                $plain = trim(mb_strtolower((string) preg_replace('/[(\[,].*$|[*:]/u', '', $heading)));
                foreach ($this->heads() as $column => $heads) {
                    if (\in_array($plain, array_map(static fn (string $h): string => mb_strtolower(explode(',', $h)[0]), $heads), true)
                        && !\in_array($column, $found, true)) {
                        $found[$i] = $column;
                    }
                }
            }
            if ([] === array_diff($this->needs(), $found)) {
                return [$found, $at + 1];
            }
        }

        return [null, 0];
    }

    /** @param array<string, string> $cells */
    private function said(array $cells): string
    {
        return mb_substr(implode(', ', array_filter(array_map(static fn (string $column): string => $cells[$column] ?? '', $this->needs()),
            static fn (string $cell): bool => '' !== $cell)), 0, Limits::CELL);
    }

    /**
     * @param array<string, string> $was
     * @param array<string, string> $is
     *
     * @return list<string> "Length 25 m → 20 m"
     */
    private function differences(array $was, array $is): array
    {
        $told = [];
        foreach ($is as $column => $cell) {
            $told[] = $this->heads()[$column][0].' '.([] === $was ? $cell : \sprintf('%s → %s',
                '' === $was[$column] ? '–' : $was[$column], '' === $cell ? '–' : $cell));
        }

        return $told;
    }

    private function fault(int $line, string $column, string|Message $fault): string
    {
        $head = $this->heads()[$column][0] ?? '';

        return \sprintf('Line %d%s: %s', $line, '' === $head ? '' : ', '.$head, $this->sayer->text($fault));
    }
}
