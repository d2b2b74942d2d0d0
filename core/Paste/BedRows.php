<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedName;
use JollyFurrow\Measure\InvalidLength;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\LengthUnit;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\PlaceType;

/**
 * Beds from a pasted list, each row a bed or a run of them: "A1, 25 m, 75 cm", "B1-B4, 18 m, tunnel". The columns go by their
 * headings; without headings the first cell is the bed, lengths are length, width and path in that order, a place is known by its
 * word, a block by the word before it. A length a row leaves out is
 * as with the bed before it; no place is the open field; no block is the letters of the name.
 */
final class BedRows
{
    private const HEADINGS = ['bed' => '/^(beds?|names?|no\.?)$/', 'block' => '/^(block|plot|section)$/', 'length' => '/^(length|long)/',
        'width' => '/^(width|wide|bed ?top)/', 'path' => '/^(paths?|aisle)/', 'place' => '/^(place|under|cover|where)$/'];
    private const PLACES = ['open' => PlaceType::Field, 'open field' => PlaceType::Field, 'field' => PlaceType::Field,
        'outside' => PlaceType::Field, 'outdoors' => PlaceType::Field, 'tunnel' => PlaceType::Tunnel,
            'unheated tunnel' => PlaceType::Tunnel,
        'unheated' => PlaceType::Tunnel, 'heated' => PlaceType::Heated, 'heated tunnel' => PlaceType::Heated,
        'greenhouse' => PlaceType::Heated];
    private const LONGEST_RUN = 200;
    private const LENGTHS = ['length' => [0.5, 500.0], 'width' => [0.1, 10.0], 'path' => [0.0, 10.0]];

    /** @var list<Bed> */
    public array $beds = [];
    /** @var list<Message> */
    public array $faults = [];
    /** @var array<string, string> units said in the headings, by column */
    private array $units = [];

    private function __construct(private readonly Garden $garden, private Bed $like)
    {
    }

    /**
     * @param Bed $usual what a garden's first row leaves out
     *
     * @throws TooMuch
     */
    public static function read(string $text, Garden $garden, Bed $usual): self
    {
        $rows = Cells::rows($text);
        $read = new self($garden, [] === $garden->beds ? $usual : $garden->beds[\count($garden->beds) - 1]);
        $columns = $read->headings($rows[0] ?? []);
        foreach ($rows as $i => $row) {
            if (0 < $i || null === $columns) {
                $read->row($i + 1, null === $columns ? $read->byLooks($row) : $read->byColumns($row, $columns));
            }
        }

        return $read;
    }

    /**
     * @param list<string> $row
     *
     * @return array<int, string>|null by position; null: these are no headings
     */
    private function headings(array $row): ?array
    {
        $found = [];
        foreach ($row as $i => $cell) {
            $plain = trim(mb_strtolower((string) preg_replace('/[\s,(\[]+(mm|cm|m|in|inches|ft|feet)[)\]]*$/i', '', $cell)));
            foreach (self::HEADINGS as $column => $pattern) {
                if (1 === preg_match($pattern, $plain) && !\in_array($column, $found, true)) {
                    $found[$i] = $column;
                    $this->units[$column] = 1 === preg_match('/[\s,(\[](mm|cm|m|in|inches|ft|feet)[)\]]*$/i', $cell, $m) ? $m[1] : '';
                }
            }
        }

        return \in_array('bed', $found, true) ? $found : null;
    }

    /**
     * @param list<string>       $row
     * @param array<int, string> $columns
     *
     * @return array<string, string>
     */
    private function byColumns(array $row, array $columns): array
    {
        $cells = [];
        foreach ($columns as $i => $column) {
            $cells[$column] = $row[$i] ?? '';
        }

        return $cells;
    }

    /**
     * @param list<string> $row
     *
     * @return array<string, string>
     */
    private function byLooks(array $row): array
    {
        $cells = ['bed' => (string) array_shift($row)];
        $lengths = array_keys(self::LENGTHS);
        foreach ($row as $cell) {
            $column = match (true) {
                '' === $cell => null,
                isset(self::PLACES[mb_strtolower($cell)]) => 'place',
                1 === preg_match('/^\d/', $cell) => array_shift($lengths),
                1 === preg_match('/^block\s+\S/i', $cell), \in_array($cell, $this->garden->blocks, true) => 'block',
                default => 'unknown',
            };
            if (null !== $column && !isset($cells[$column])) {
                $cells[$column] = (string) preg_replace('/^block\s+/i', '', $cell);
            }
        }

        return $cells;
    }

    /** @param array<string, string> $cells */
    private function row(int $line, array $cells): void
    {
        $before = \count($this->faults);
        $names = $this->names($line, $cells['bed'] ?? '');
        $length = $this->length($line, 'length', $cells) ?? $this->like->length;
        $width = $this->length($line, 'width', $cells) ?? $this->like->width;
        $path = $this->length($line, 'path', $cells) ?? $this->like->path;
        if (([] === $this->garden->beds && [] === $this->beds) && '' === ($cells['length'] ?? '') && $before === \count($this->faults)) {
            $this->faults[] = Message::of(BedRowFault::NoLength, line: $line);
        }
        $place = self::PLACES[mb_strtolower($cells['place'] ?? '')] ?? null;
        if (null === $place && '' !== ($cells['place'] ?? '')) {
            $this->faults[] = Message::of(BedRowFault::NotUnderstood, line: $line, text: Quote::of($cells['place']));
        }
        if ('' !== ($cells['unknown'] ?? '')) {
            $this->faults[] = Message::of(BedRowFault::NotUnderstood, line: $line, text: Quote::of($cells['unknown']));
        }
        if ($before !== \count($this->faults)) {
            return;
        }
        $said = '' === ($cells['block'] ?? '') ? null : mb_substr($cells['block'], 0, Limits::BLOCK_NAME);
        foreach ($names as $name) {
            $block = $said ?? (1 === preg_match('/^\p{L}+/u', $name, $m) ? $m[0] : $this->like->block);
            $this->like = new Bed($name, $block, \count($this->garden->beds) + \count($this->beds), $length, $width, $path,
                $place ?? PlaceType::Field);
            $this->beds[] = $this->like;
        }
    }

    /** @return list<string> */
    private function names(int $line, string $cell): array
    {
        $name = trim((string) preg_replace('/^beds?\s+(?=\S)/i', '', $cell));
        $run = BedRun::of($name);
        if (null !== $run && $run->count() > self::LONGEST_RUN) {
            $this->faults[] = Message::of(BedRowFault::LongRange, line: $line, text: Quote::of($cell), most: self::LONGEST_RUN);

            return [];
        }
        $names = $run?->names() ?? [$name];
        foreach ($names as $one) {
            $bad = '' === $one ? Message::of(BedRowFault::NoBed, line: $line) : BedName::fault($one);
            if (null !== $bad) {
                $this->faults[] = '' === $one ? $bad : Message::of(BedRowFault::Because, line: $line, why: $bad);

                return [];
            }
            if (isset($this->garden->bedsByName()[$one]) || \in_array($one, array_column($this->beds, 'name'), true)) {
                $this->faults[] = Message::of(BedRowFault::Taken, line: $line, bed: $one);
            }
        }

        return $names;
    }

    /** @param array<string, string> $cells */
    private function length(int $line, string $column, array $cells): ?Length
    {
        $cell = $cells[$column] ?? '';
        if ('' === $cell) {
            return null;
        }
        [$least, $most] = self::LENGTHS[$column];
        $units = $this->garden->settings->units;
        $bare = LengthUnit::named($this->units[$column] ?? '') ?? ('length' === $column ? $units->longUnit() : $units->shortUnit());
        try {
            return Length::parse($cell, $bare, $least, $most);
        } catch (InvalidLength $wrong) {
            $this->faults[] = Message::of(BedRowFault::Because, line: $line, why: $wrong->said());

            return null;
        }
    }
}
