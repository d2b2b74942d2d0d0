<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Values;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Ways\Candidates;

/** Why each shortage of a plan is one, and what would still mend it. */
final readonly class Explainer
{
    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /** @return list<Explained> */
    public function explain(Garden $garden, Plan $plan): array
    {
        $beds = BedChoice::under($garden, $this->book, $this->recipes, $plan->plantings());
        $reasons = new ShortageReasons($garden, $this->book, new Candidates($garden, $this->recipes), $beds, Grid::of($garden), $plan,
            Values::of($garden));

        return array_map(fn (Shortage $short): Explained => new Explained($short, ...$reasons->for($this->book->get($short->item),
            $short)), $plan->shortages);
    }
}
