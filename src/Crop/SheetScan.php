<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Paste\TooMuch;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;

/**
 * Looks at a workbook before it is read into memory: what its parts say they unpack to, then each part as it streams by. A cell
 * with something in it beyond the limits refuses the file; an empty one, however often it is repeated, does not.
 */
final class SheetScan
{
    /** Files inside a workbook; an ordinary one has a dozen. */
    private const MOST_PARTS = 500;
    /** A cell, its text and what wraps it. */
    private const ELEMENTS_A_CELL = 4;

    private int $elements = 0;
    private int $row = 0;
    private int $rowTimes = 1;
    private int $column = 0;
    private int $filled = 0;

    private function __construct(private readonly int $mostRows)
    {
    }

    /**
     * @throws TooMuch
     * @throws \RuntimeException the file is no workbook
     */
    public static function of(string $path, int $mostRows): void
    {
        $scan = new self($mostRows);
        foreach (self::parts($path) as $part) {
            $scan->part('zip://'.$path.'#'.$part);
        }
    }

    /** @return list<string> names of the parts that are XML */
    private static function parts(string $path): array
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($path, \ZipArchive::RDONLY)) {
            throw new \RuntimeException('No archive.');
        }
        [$sum, $parts] = [0, []];
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            $part = $zip->statIndex($i);
            $sum += false === $part ? 0 : $part['size'];
            if ($sum > Limits::UNPACKED_BYTES || $i > self::MOST_PARTS) {
                throw TooMuch::unpacked(Limits::UNPACKED_BYTES);
            }
            if (false !== $part && str_ends_with($part['name'], '.xml')) {
                $parts[] = $part['name'];
            }
        }
        $zip->close();

        return $parts;
    }

    private function part(string $part): void
    {
        $reader = @\XMLReader::open($part, null, \LIBXML_NONET | \LIBXML_NOERROR | \LIBXML_NOWARNING);
        if (!$reader instanceof \XMLReader) {
            return;
        }
        [$this->row, $this->filled] = [0, 0];
        while (@$reader->read()) {
            if (\XMLReader::ELEMENT !== $reader->nodeType) {
                continue;
            }
            if (++$this->elements > ($this->mostRows + 100) * Limits::COLUMNS * self::ELEMENTS_A_CELL) {
                throw TooMuch::rows($this->mostRows);
            }
            match ($reader->localName) {
                'row' => $this->at(self::number($reader, 'r') ?? $this->row + 1, 1),
                'table-row' => $this->at($this->row + 1, self::number($reader, 'table:number-rows-repeated') ?? 1),
                'c' => $this->cell(self::columnOf($reader->getAttribute('r')) ?? $this->column + 1, 1, !$reader->isEmptyElement),
                'table-cell' => $this->cell($this->column + 1, self::number($reader, 'table:number-columns-repeated') ?? 1,
                    !$reader->isEmptyElement || null !== $reader->getAttribute('office:value-type')),
                'covered-table-cell' => $this->cell($this->column + 1, self::number($reader, 'table:number-columns-repeated') ?? 1, false),
                default => null,
            };
        }
    }

    private function at(int $row, int $times): void
    {
        [$this->row, $this->rowTimes, $this->column] = [$row, $times, 0];
    }

    private function cell(int $column, int $times, bool $isFilled): void
    {
        $this->column = $column + $times - 1;
        if (!$isFilled) {
            return;
        }
        if ($this->column > Limits::COLUMNS) {
            throw TooMuch::columns($this->row, Limits::COLUMNS);
        }
        $this->filled += $times * $this->rowTimes;
        if ($this->row > $this->mostRows + 1 || $this->filled > ($this->mostRows + 1) * Limits::COLUMNS) {
            throw TooMuch::rows($this->mostRows);
        }
    }

    private static function number(\XMLReader $reader, string $name): ?int
    {
        $text = $reader->getAttribute($name);

        return null !== $text && ctype_digit($text) ? (int) $text : null;
    }

    private static function columnOf(?string $address): ?int
    {
        return null !== $address && 1 === preg_match('/^([A-Za-z]{1,3})\d*$/', $address, $m) ? Coordinate::columnIndexFromString($m[1])
            : null;
    }
}
