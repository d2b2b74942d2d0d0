<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Measure\Length;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Working;

/** A step of one planting's preparation, on its day, with its hours. */
final readonly class DatedStep
{
    private function __construct(public Step $step, public Day $day, public Working $hours)
    {
    }

    public static function of(Recipe $recipe, Step $step, Day $day, Length $length): self
    {
        return new self($step, $day, Working::of(
            $step->name,
            $step->hoursPer100Metres * $length->metres() / 100,
            'h',
            'hours per 100 m of bed x metres / 100',
            'per100 * metres / 100',
            [
                Input::of('per100', 'hours per 100 m', $step->hoursPer100Metres, 'h', $recipe->source),
                Input::of('metres', 'bed metres', $length->metres(), 'm', Source::garden('the planting')),
            ],
            $recipe->source,
        ));
    }
}
