<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Crop\Crop;

/** What crops need, row by row; what no row names goes by its feeding class. */
final readonly class NeedTable
{
    /** @var array<string, CropNeed> by item, and by key of the row */
    private array $byCrop;

    /** @param list<CropNeed> $rows */
    public function __construct(public array $rows)
    {
        $by = [];
        foreach ($rows as $row) {
            $by[$row->key] ??= $row;
        }
        foreach ($rows as $row) {
            foreach ($row->crops as $crop) {
                $by[$crop] = $row;
            }
        }
        $this->byCrop = $by;
    }

    public function of(Crop $crop): CropNeed
    {
        return $this->byCrop[$crop->item()] ?? $this->byCrop[$crop->feeding->value]
            ?? throw new \LogicException(\sprintf('No row for the class "%s".', $crop->feeding->value));
    }
}
