<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Time\Day;

/** A crop on the shelf: what is short of it and since when. */
final readonly class ShelfCrop
{
    /**
     * @param Goods|null $short nothing is short: null
     * @param Day|null   $from  first market day it is short on
     * @param float      $cents what is short is worth
     * @param int        $days  from sowing to the last harvest, for its picture
     */
    public function __construct(public Crop $crop, public ?Goods $short, public ?Day $from, public float $cents, public int $days)
    {
    }
}
