<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Exception\Limits;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Reader\IReadFilter;

/** Reads only the cells a list may have; SheetScan has seen to it that the others are empty. */
final class WithinLimits implements IReadFilter
{
    /** @var array<string, bool> */
    private array $columns = [];

    public function __construct(private readonly int $rows)
    {
    }

    public function readCell(string $columnAddress, int $row, string $worksheetName = ''): bool
    {
        return $row <= $this->rows
            && $this->columns[$columnAddress] ??= Coordinate::columnIndexFromString($columnAddress) <= Limits::COLUMNS;
    }
}
