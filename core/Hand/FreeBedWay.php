<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;

/** One crop that still makes it on a free stretch of bed, sown as soon as it can be. */
final readonly class FreeBedWay
{
    /**
     * @param Day             $until      last day it stands there
     * @param float           $units      it gives in all
     * @param Recipe          $recipe     preparation that still fits
     * @param bool            $isHurried  not the crop's usual one: that would take too long
     * @param Day             $lastSowing last day it can still be sown for this stretch
     * @param array<int, int> $fills      units of what is short, by market day as day number
     * @param float           $worth      cents they fetch
     */
    public function __construct(public Crop $crop, public Method $method, public Day $sow, public Day $ground, public Day $ready,
        public Day $until, public float $units, public Recipe $recipe, public bool $isHurried, public Day $lastSowing,
        public array $fills, public float $worth, private Candidate $candidate, private Day $bedStart)
    {
    }

    /**
     * The planting it would be, on the whole stretch; locked.
     *
     * @param array<string, mixed> $taken plantings by key
     */
    public function planting(Stretch $stretch, array $taken): Planting
    {
        $key = PlantingKey::free($this->crop->item(), $this->sow, $taken);

        return $this->candidate->planting($key, [$stretch], $this->recipe->key, $this->bedStart->number, $this->until->number,
            locked: true);
    }
}
