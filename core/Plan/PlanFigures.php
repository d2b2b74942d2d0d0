<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Values;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Ways\PlantingCost;

/** A whole plan in a few figures, from today on. Cents. */
final readonly class PlanFigures
{
    /**
     * @param float $kept    share of the promised units
     * @param float $bedDays metre-days of bed, preparation included
     * @param float $hours   to make the beds ready and to plant
     * @param float $income  what is served fetches
     * @param float $direct  plants, and work at its wage
     */
    private function __construct(public float $kept, public float $bedDays, public float $hours, public float $income, public float $direct)
    {
    }

    public static function of(Garden $garden, Planner $planner, CropBook $book, RecipeBook $recipes): self
    {
        $plan = $planner->asItStands($garden);
        $values = Values::of($garden);
        $price = new PlantingCost($garden, $recipes);
        $income = $bedDays = $hours = $direct = 0.0;
        foreach ($plan->needs as $item => $needs) {
            foreach ($needs as $j => $need) {
                $income += $need->day >= $garden->today->number ? $plan->served[$item][$j] * ($values[$item] ?? 0.0) : 0.0;
            }
        }
        foreach ($garden->plantings as $planting) {
            if ($planting->isOver($garden->today)) {
                continue;
            }
            $from = $planting->bedStart->isBefore($garden->today) ? $garden->today : $planting->bedStart;
            $bedDays += $planting->length()->metres() * ($planting->clear->since($from) + 1);
            if (Standing::Planned === $planting->standing && $book->has($planting->item) && $recipes->has($planting->recipe)) {
                $hours += $price->hours($planting);
                $direct += $price->setUp() + $planting->length()->metres() * $price->perMetre($book->grown($planting->item,
                    $planting->variety), $planting->method, $planting->recipe);
            }
        }

        return new self($plan->keptShare(), $bedDays, $hours, $income, $direct);
    }

    /** Income less direct cost. */
    public function left(): float
    {
        return $this->income - $this->direct;
    }
}
