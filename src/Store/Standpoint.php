<?php

declare(strict_types=1);

namespace App\Store;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Expected;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;

/** A garden with its plan as it stands and what each planting is expected to give. */
final readonly class Standpoint
{
    private function __construct(public Garden $garden, public Plan $plan, public Expected $expected)
    {
    }

    public static function of(string $gardenId, Snapshot $snapshot, Planner $planner, CropBook $book): self
    {
        $garden = $snapshot->of($gardenId);
        $plan = $planner->asItStands($garden);

        return new self($garden, $plan, Expected::of($garden, $plan, $book));
    }
}
