<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Exception\Quote;

/**
 * Reads a sheet of crop values (crop, value, is, source, note; one value a line) into values of the garden's own. What
 * the book has anyway is left out. Every line that cannot be used is told, and none is kept then.
 */
final readonly class BookSheet
{
    public const COLUMNS = ['crop', 'value', 'is', 'source', 'note'];
    private const LONGEST = 400;
    private const NEAR = 3;

    /**
     * @param list<OwnValue>              $values what differs from the book
     * @param list<SheetLine>             $faults by line
     * @param array<string, list<string>> $same   names of values that are as in the book, by crop
     */
    private function __construct(public array $values, public array $faults, public int $lines, public array $same)
    {
    }

    /**
     * @param list<list<string>>                                                                 $lines   the first names the columns
     * @param list<array{crop: string, value: string, is: string, source: string, note: string}> $book    rows of the book that ships
     * @param list<string>                                                                       $recipes keys
     */
    public static function read(array $lines, array $book, array $recipes): self
    {
        if ([] === $lines) {
            return new self([], [new SheetLine(1, '', '',
                'The sheet is empty. Its first line names the columns crop, value, is, source, note.')], 0, []);
        }
        $columns = array_map(static fn (string $name): string => strtolower(trim($name)), $lines[0]);
        while ([] !== $columns && '' === end($columns)) {
            array_pop($columns);
        }
        foreach (\array_slice(self::COLUMNS, 0, 3) as $wanted) {
            if (!\in_array($wanted, $columns, true)) {
                return new self([], [new SheetLine(1, '', '',
                    \sprintf('The column "%s" is missing. The first line names the columns crop, value, is, source, note.', $wanted))],
                    0, []);
            }
        }
        $strange = array_values(array_diff($columns, self::COLUMNS));
        if ([] !== $strange) {
            return new self([], [new SheetLine(1, '', '',
                \sprintf('%s is no column of this sheet; it has crop, value, is, source, note.', Quote::of($strange[0])))], 0, []);
        }
        if (\count($lines) > Limits::BOOK_ROWS) {
            return new self([], [new SheetLine(Limits::BOOK_ROWS + 1, '', '', \sprintf('More than %d lines; take the sheet in parts.',
                Limits::BOOK_ROWS))], \count($lines), []);
        }

        return self::values($lines, $columns, $book, $recipes);
    }

    /**
     * @param non-empty-list<list<string>>                                                       $lines
     * @param list<string>                                                                       $columns
     * @param list<array{crop: string, value: string, is: string, source: string, note: string}> $book
     * @param list<string>                                                                       $recipes
     */
    private static function values(array $lines, array $columns, array $book, array $recipes): self
    {
        $known = [];
        foreach ($book as $row) {
            $known[$row['crop']][$row['value']] = $row['is'];
        }
        $faults = $at = [];
        $own = [];
        $same = [];
        $count = 0;
        foreach (\array_slice($lines, 1, null, true) as $n => $cells) {
            if ('' === trim(implode('', $cells))) {
                continue;
            }
            ++$count;
            $words = self::form($cells, \count($columns));
            $line = array_combine($columns, \array_slice([...array_map(trim(...), $cells), ...array_fill(0, \count($columns), '')], 0,
                \count($columns)));
            $words = '' !== $words ? $words : self::line($line, $known, $at, $recipes);
            if ('' !== $words) {
                $faults[] = new SheetLine($n + 1, mb_scrub($line['crop']), mb_scrub($line['value']), $words);
                continue;
            }
            $at[$line['crop']][$line['value']] = $n + 1;
            if (isset($known[$line['crop']][$line['value']]) && $known[$line['crop']][$line['value']] === $line['is']) {
                $same[$line['crop']][] = $line['value'];
                continue;
            }
            $own[$line['crop']][$line['value']] = new OwnValue($line['crop'], $line['value'], $line['is'],
                'garden' === ($line['source'] ?? '') || '' === ($line['source'] ?? '') ? ($line['note'] ?? '')
                : trim(($line['note'] ?? '').' ('.$line['source'].')'));
        }
        $faults = [...$faults, ...self::crops($own, $at, $book)];
        usort($faults, static fn (SheetLine $a, SheetLine $b): int => $a->line <=> $b->line);

        return new self([] === $faults ? array_merge(...array_map(array_values(...), array_values($own))) : [], $faults, $count, $same);
    }

    /**
     * A garden's own values with what the sheet says in their place: a value that is as in the book is no longer its own.
     *
     * @param list<OwnValue> $own
     *
     * @return list<OwnValue>
     */
    public function over(array $own): array
    {
        $said = array_map(array_flip(...), $this->same);
        foreach ($this->values as $value) {
            $said[$value->crop][$value->name] = true;
        }

        return [...array_values(array_filter($own, static fn (OwnValue $v): bool => !isset($said[$v->crop][$v->name]))), ...$this->values];
    }

    /** @param list<string> $cells */
    private static function form(array $cells, int $columns): string
    {
        while ([] !== $cells && '' === trim(end($cells))) {
            array_pop($cells);
        }

        return match (true) {
            \count($cells) > $columns => \sprintf('%d cells, where the first line names %d columns; a comma inside a cell wants quotes around the cell.', \count($cells), $columns),
            \count($cells) < 2 => 'Only one cell: a line has the key of a crop, the name of a value and what it is.',
            !mb_check_encoding(implode('', $cells), 'UTF-8') => 'Letters that cannot be read: save the file as UTF-8.',
            default => '',
        };
    }

    /**
     * @param array<string, string>                $line
     * @param array<string, array<string, string>> $shipped values of the book by crop and name
     * @param array<string, array<string, int>>    $at
     * @param list<string>                         $recipes
     */
    private static function line(array $line, array $shipped, array $at, array $recipes): string
    {
        $known = BookColumns::all();

        return match (true) {
            '' === $line['crop'] => 'The key of the crop is missing.',
            1 !== preg_match('/^[a-z][a-z0-9-]{1,58}$/',
                $line['crop']) => \sprintf('%s is no key: small letters, digits and hyphens, such as lettuce-head.',
                    Quote::of($line['crop'])),
            '' === $line['value'] => 'The name of the value is missing.',
            !isset($known[$line['value']]) => \sprintf('%s is no value the book knows.%s', Quote::of($line['value']),
                self::near($line['value'])),
            isset($at[$line['crop']][$line['value']]) => \sprintf('Stands already on line %d; each value of a crop once.',
                $at[$line['crop']][$line['value']]),
            mb_strlen($line['is']) > self::LONGEST => \sprintf('Too long: at most %d letters.', self::LONGEST),
            mb_strlen($line['note'] ?? '') > self::LONGEST => \sprintf('The note is too long: at most %d letters.', self::LONGEST),
            'of' === $line['value'] && isset($shipped[$line['crop']])
                && ($shipped[$line['crop']]['of']
                ?? '') !== $line['is'] => 'This crop is in the book: what it is a variety of stays. Copy it under a key of its own.',
            'recipe' === $line['value'] && '' !== $line['is'] && !\in_array($line['is'], $recipes,
                true) => \sprintf('%s is no preparation recipe; there are %s.', Quote::of($line['is']), implode(', ', $recipes)),
            default => '',
        };
    }

    private static function near(string $name): string
    {
        $best = null;
        foreach (array_keys(BookColumns::all()) as $known) {
            $far = levenshtein(substr($name, 0, 60), $known);
            $best = $far <= self::NEAR && (null === $best || $far < $best[0]) ? [$far, $known] : $best;
        }

        return null === $best ? '' : \sprintf(' Is "%s" meant?', $best[1]);
    }

    /**
     * Every crop with values of its own is read as a whole; a value at fault is told and left out, and the crop read again.
     *
     * @param array<string, array<string, OwnValue>>                                             $own
     * @param array<string, array<string, int>>                                                  $at
     * @param list<array{crop: string, value: string, is: string, source: string, note: string}> $book
     *
     * @return list<SheetLine>
     */
    private static function crops(array $own, array $at, array $book): array
    {
        $rows = [];
        foreach ($book as $row) {
            $rows[$row['crop']][$row['value']] = ['is' => $row['is'], 'source' => $row['source'], 'note' => $row['note']];
        }
        $shipped = $rows;
        foreach ($own as $crop => $values) {
            foreach ($values as $name => $value) {
                $rows[$crop][$name] = ['is' => $value->is, 'source' => 'garden', 'note' => $value->note];
            }
        }
        $touched = array_keys($own);
        foreach ($rows as $crop => $values) {
            if (isset($own[trim($values['of']['is'] ?? '')]) && !isset($own[$crop])) {
                $touched[] = $crop;
            }
        }
        $faults = [];
        foreach ($touched as $crop) {
            if (!isset($shipped[$crop]) && !isset($own[$crop]['of']) && !isset($own[$crop]['name'])) {
                $faults[] = new SheetLine(min([\PHP_INT_MAX, ...array_values($at[$crop] ?? [1])]), (string) $crop, '',
                    'This crop is not in the book. A further variety has a line "of" with the key of its crop; a new crop has all its values, its name first.');
                continue;
            }
            $faults = [...$faults, ...self::faultsOf((string) $crop, $rows, $shipped, $own, $at)];
        }

        return $faults;
    }

    /**
     * A value at fault is left out of the rows, for the varieties that read them after it.
     *
     * @param array<string, array<string, array{is: string, source: string, note: string}>> $rows    with the garden's own
     * @param array<string, array<string, array{is: string, source: string, note: string}>> $shipped
     * @param array<string, array<string, OwnValue>>                                        $own
     * @param array<string, array<string, int>>                                             $at
     *
     * @return list<SheetLine>
     */
    private static function faultsOf(string $crop, array &$rows, array $shipped, array $own, array &$at): array
    {
        $faults = [];
        $fault = self::fault($crop, $rows);
        while (null !== $fault) {
            $line = $at[$crop][$fault->value] ?? null;
            $of = trim($rows[$crop]['of']['is'] ?? '');
            $nearest = $line ?? $at[$of][$fault->value] ?? min([\PHP_INT_MAX, ...array_values($at[$crop] ?? $at[$of] ?? [1])]);
            $faults[] = new SheetLine($nearest, $crop, $fault->value, ucfirst($fault->words));
            if (null === $line || 'of' === $fault->value || !isset($rows[$crop][$fault->value])) {
                break;
            }
            if (isset($shipped[$crop][$fault->value])) {
                $rows[$crop][$fault->value] = $shipped[$crop][$fault->value];
            } else {
                unset($rows[$crop][$fault->value]);
            }
            $at[$crop] = array_diff_key($at[$crop], [$fault->value => true]);
            $fault = self::fault($crop, $rows);
            // What is missing only because its line was at fault has been told already.
            $fault = null !== $fault && !isset($rows[$crop][$fault->value]) && isset($own[$crop][$fault->value]) ? null : $fault;
        }

        return $faults;
    }

    /** @param array<string, array<string, array{is: string, source: string, note: string}>> $rows */
    private static function fault(string $crop, array $rows): ?BookFault
    {
        try {
            (new BookReader())->entry($crop, $rows[$crop], $rows);

            return null;
        } catch (BookFault $fault) {
            return $fault;
        }
    }
}
