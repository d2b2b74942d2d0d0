<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** A step of one planting's preparation, on its day, with its hours. */
final readonly class DatedStep
{
    private function __construct(public Step $step, public Day $day, public Working $hours)
    {
    }

    public static function of(Recipe $recipe, Step $step, Day $day, Length $length): self
    {
        return new self($step, $day, Working::of(Sum::StepHours, $step->hoursPer100Metres * $length->metres() / 100, Unit::Hour,
            'per100 * metres / 100',
            [
                Input::of('per100', $step->hoursPer100Metres, Unit::HourPer100Metres, $recipe->source),
                Input::of('metres', $length->metres(), Unit::Metre, Source::garden(From::ThePlanting)),
            ],
            $recipe->source,
        ));
    }
}
