<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Measure\Length;

/** How a crop stands in the bed, for the standard bed 75 cm wide. */
final readonly class Stand
{
    /** Cells of a tray, at most. */
    private const LARGE_CELLS = 50;
    private const MIDDLE_CELLS = 110;

    public function __construct(
        public int $rows,
        public Length $inRow,
        public Length $depth,
        public int $seedsPerSpot,
        public int $plantsPerSpot,
        public float $plantsPerSeedUnit,
        public float $germination,
        public float $fieldFactor,
        public float $thousandSeedGrams,
        public float $trayLoss,
        public int $cellsPerTray,
    ) {
    }

    /**
     * The most days a plant may stand in its cell: half as long again as it takes there, longer in a large cell, shorter
     * in a small one (own model).
     */
    public function greatestAge(int $nurseryDays): int
    {
        $times = match (true) {
            $this->cellsPerTray <= self::LARGE_CELLS => 1.7,
            $this->cellsPerTray <= self::MIDDLE_CELLS => 1.5,
            default => 1.4,
        };

        return (int) ceil($times * $nurseryDays);
    }

    /** The same plants in other rows and distances. */
    public function standing(int $rows, Length $inRow, int $seedsPerSpot, int $plantsPerSpot): self
    {
        return new self($rows, $inRow, $this->depth, $seedsPerSpot, $plantsPerSpot, $this->plantsPerSeedUnit, $this->germination,
            $this->fieldFactor, $this->thousandSeedGrams, $this->trayLoss, $this->cellsPerTray);
    }
}
