<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

use JollyFurrow\Crop\Crop;

/** Crops and their water, row by row. */
final readonly class WaterTable
{
    private const OTHER = 'other';

    /** @param list<CropWater> $rows one of them "other" */
    public function __construct(public array $rows)
    {
    }

    public function of(Crop $crop): CropWater
    {
        $other = null;
        foreach ($this->rows as $row) {
            if (\in_array($crop->item(), $row->crops, true)) {
                return $row;
            }
            $other = self::OTHER === $row->key ? $row : $other;
        }

        return $other ?? throw new \LogicException('The table of water lacks its last row.');
    }
}
