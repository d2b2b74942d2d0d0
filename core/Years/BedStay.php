<?php

declare(strict_types=1);

namespace JollyFurrow\Years;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** A crop that stood, stands or is to stand on a bed, and what it gave there. */
final readonly class BedStay
{
    /**
     * @param Crop|null     $crop     null: the book no longer knows it
     * @param Planting|null $planting null: it stood before the garden kept book here
     * @param float|null    $units    of sale brought in from this bed; null: nothing was
     */
    public function __construct(public string $item, public ?Crop $crop, public Stretch $stretch, public ?Day $from, public Day $until,
        public ?Planting $planting, public ?float $units)
    {
    }
}
