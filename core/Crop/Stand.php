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

    /** @param Length|null $sowing distance it is sown at, where that is not the one it is to stand at; null: as the stand wants it */
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
        public ?Length $sowing = null,
        public Container $container = Container::Cells,
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
            $this->fieldFactor, $this->thousandSeedGrams, $this->trayLoss, $this->cellsPerTray, container: $this->container);
    }

    /** Plants that come up of one seed or seed ball in the bed. */
    public function comesUp(): float
    {
        return $this->germination * $this->fieldFactor * $this->plantsPerSeedUnit;
    }

    /** Plants to be counted on a metre of row after emergence: as many as are to stand, but no more than come up. */
    public function expected(): float
    {
        $wanted = $this->plantsPerSpot / $this->inRow->metres();
        $sown = null === $this->sowing ? $this->seedsPerSpot / $this->inRow->metres() : 1 / $this->sowing->metres();

        return min($wanted, $sown * $this->comesUp());
    }
}
