<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Measure\Length;

/** How a crop stands in the bed, for the standard bed 75 cm wide. */
final readonly class Stand
{
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

    /** The same plants in other rows and distances. */
    public function standing(int $rows, Length $inRow, int $seedsPerSpot, int $plantsPerSpot): self
    {
        return new self($rows, $inRow, $this->depth, $seedsPerSpot, $plantsPerSpot, $this->plantsPerSeedUnit, $this->germination,
            $this->fieldFactor, $this->thousandSeedGrams, $this->trayLoss, $this->cellsPerTray);
    }
}
