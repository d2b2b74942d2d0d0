<?php

declare(strict_types=1);

namespace App\Record;

use App\Crop\SheetFile;
use App\Crop\UnusableSheet;
use App\Shared\Entry;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedName;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Units;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Paste\Column;
use JollyFurrow\Paste\CropNames;
use JollyFurrow\Paste\ListRows;
use JollyFurrow\Paste\PastedDay;
use JollyFurrow\Paste\StandingReader;
use JollyFurrow\Paste\StandingRow;
use JollyFurrow\Paste\TooMuch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;

/** A list of what stands, between the pasting and the keeping: rows of cells, which column is which, what is wrong where. */
final class PastedList
{
    /** @var list<list<string>> */
    public array $cells = [];
    /** @var list<Column> */
    public array $columns = [];
    /** @var array<int, string> */
    public array $doubts = [];
    /** @var list<string> rows that are none of the list: titles, totals */
    public array $aside = [];
    /** @var array<int, true> rows left out by the grower */
    public array $left = [];
    /** @var list<StandingRow|null> null: left out */
    public array $rows = [];
    /** @var list<Bed> beds that would be made */
    public array $newBeds = [];
    public bool $asksOrder = false;
    public bool $dayFirst = true;

    public function __construct(private readonly CropBook $book, private readonly RecipeBook $recipes)
    {
    }

    /** Reads pasted text for the first time. Something that is no list is a fault of the field "text". */
    public static function paste(string $bytes, Entry $entry, Garden $garden, CropBook $book, RecipeBook $recipes): self
    {
        $list = new self($book, $recipes);
        try {
            $cells = self::cells($bytes);
        } catch (TooMuch $much) {
            $entry->fault('text', $much->said());

            return $list;
        } catch (UnusableSheet $unusable) {
            $entry->fault('text', $unusable->getMessage());

            return $list;
        }
        $rows = ListRows::of($cells, $garden, new CropNames($book));
        $list->cells = $rows->rows;
        $list->columns = $rows->columns->columns;
        $list->doubts = $rows->columns->doubts;
        $list->aside = $rows->aside;
        if (\count($list->cells) > Limits::ROWS_AT_ONCE) {
            $entry->fault('text', TooMuch::rows(Limits::ROWS_AT_ONCE)->said());

            return $list;
        }
        if ([] === $list->cells) {
            $entry->fault('text', 'Paste at least one row: a bed, a crop, a date, and a length if it is not the whole bed.');
        }
        $days = $list->texts(static fn (Column $c): bool => $c->isDay());
        $list->asksOrder = PastedDay::isOrderAsked($days);
        $list->dayFirst = PastedDay::isDayFirst($days) ?? Units::UsCustomary !== $garden->settings->units;

        return $list;
    }

    /**
     * @return list<list<string>>
     *
     * @throws TooMuch
     * @throws UnusableSheet
     */
    private static function cells(string $bytes): array
    {
        if (SheetFile::isWorkbook($bytes)) {
            return SheetFile::shown($bytes, Limits::ROWS_AT_ONCE);
        }

        return \strlen($bytes) > Limits::LIST_BYTES ? throw TooMuch::bytes(Limits::LIST_BYTES) : Cells::rows(Cells::decode($bytes), Limits::ROWS_AT_ONCE);
    }

    /** A guess taken: it is written into the cell. "3:Head lettuce" is of the row after the third. */
    private function take(string $guess): void
    {
        $crop = array_search(Column::Crop, $this->columns, true);
        if (false !== $crop && 1 === preg_match('/^(\d{1,5}):(.{1,80})$/u', $guess, $m) && isset($this->cells[(int) $m[1]][$crop])) {
            $this->cells[(int) $m[1]][$crop] = $m[2];
        }
    }

    /** The list as it comes back from its form, each cell as it was typed. */
    public static function again(Entry $entry, Units $units, CropBook $book, RecipeBook $recipes): self
    {
        $list = new self($book, $recipes);
        foreach (\array_slice($entry->table('cell'), 0, Limits::ROWS_AT_ONCE) as $row) {
            $list->cells[] = \array_slice($row, 0, Limits::COLUMNS);
        }
        $wide = max([0, ...array_map(\count(...), $list->cells)]);
        $list->cells = array_map(static fn (array $row): array => array_pad($row, $wide, ''), $list->cells);
        $columns = $entry->several('column');
        for ($i = 0; $i < $wide; ++$i) {
            $list->columns[] = Column::tryFrom($columns[$i] ?? '') ?? Column::Nothing;
        }
        foreach ($entry->several('left') as $row) {
            $list->left[(int) $row] = true;
        }
        $list->take($entry->raw('take'));
        $list->asksOrder = '1' === $entry->raw('order_asked');
        $list->dayFirst = match ($entry->raw('order')) {
            'day' => true, 'month' => false, default => Units::UsCustomary !== $units,
        };
        foreach (array_count_values(array_map(static fn (Column $c): string => $c->value, $list->columns)) as $column => $times) {
            if ($times > 1 && Column::Nothing->value !== $column) {
                $entry->fault('column', \sprintf('Two columns are "%s". Choose another for one of them, or leave it out.',
                    Column::from((string) $column)->words()));
            }
        }

        return $list;
    }

    /** Works out the plantings. Beds that are not there are made, when the entry says how long they are. */
    public function read(Entry $entry, Garden $garden): void
    {
        foreach ([Column::Bed, Column::Crop] as $must) {
            if (!\in_array($must, $this->columns, true)) {
                $entry->fault('column', \sprintf('No column is the %s yet. Choose one above the list.', $must->words()));
            }
        }
        $this->newBeds = $this->bedsToMake($entry, $garden);
        $garden = $garden->onBeds([...$garden->beds, ...$this->newBeds]);
        $byColumn = [];
        foreach ($this->cells as $i => $row) {
            foreach (isset($this->left[$i]) ? [] : $this->columns as $c => $column) {
                if (Column::Nothing !== $column) {
                    $byColumn[$i][$column->value] = $row[$c];
                }
            }
        }
        $read = (new StandingReader($this->book, $this->recipes))->read($byColumn, $garden, $this->dayFirst);
        $this->rows = array_map(static fn (int $i): ?StandingRow => $read[$i] ?? null, array_keys($this->cells));
    }

    public function isGood(): bool
    {
        return [] !== $this->plantings() && 0 === $this->unclear();
    }

    /** How many rows make no planting yet. */
    public function unclear(): int
    {
        return \count(array_filter($this->rows, static fn (?StandingRow $r): bool => null !== $r && null === $r->planting));
    }

    /** @return list<Planting> */
    public function plantings(): array
    {
        return array_values(array_filter(array_map(static fn (?StandingRow $r): ?Planting => $r?->planting, $this->rows)));
    }

    /** @return list<string> names of beds in the list that the garden does not have */
    public function unknownBeds(Garden $garden): array
    {
        $known = $garden->bedsByName();
        $names = array_unique($this->texts(static fn (Column $c): bool => Column::Bed === $c));
        natsort($names);

        return array_values(array_filter($names, static fn (string $n): bool => '' !== $n && !isset($known[$n]) && BedName::isGood($n)));
    }

    /** @return list<Bed> */
    private function bedsToMake(Entry $entry, Garden $garden): array
    {
        $unknown = $this->unknownBeds($garden);
        if ([] === $unknown || '1' !== $entry->raw('make')) {
            return [];
        }
        $length = $entry->length('bed_length', $garden->settings->units->longUnit(), 0.5, 500);
        $width = $entry->length('bed_width', $garden->settings->units->shortUnit(), 0.1, 10);
        $place = $entry->choice('bed_place', PlaceType::class);

        return array_map(static fn (string $name, int $i): Bed => new Bed($name, trim((string) preg_replace('/[\s\d-]+$/', '',
            $name)) ?: 'Beds', \count($garden->beds) + $i, $length, $width, Length::fromCentimetres(45), $place), $unknown,
            array_keys($unknown));
    }

    /**
     * @param callable(Column): bool $of
     *
     * @return list<string>
     */
    private function texts(callable $of): array
    {
        $texts = [];
        foreach ($this->cells as $i => $row) {
            foreach (isset($this->left[$i]) ? [] : $this->columns as $c => $column) {
                if ($of($column)) {
                    $texts[] = $row[$c] ?? '';
                }
            }
        }

        return $texts;
    }
}
