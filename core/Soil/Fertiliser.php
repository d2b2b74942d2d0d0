<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** A fertiliser by its analysis, and how much of it carries a wanted amount of a nutrient. */
final readonly class Fertiliser
{
    /** Mass of product that carries the wanted mass of a nutrient at an analysis in percent. */
    public static function productFor(Mass $nutrient, float $percent): Mass
    {
        if ($percent <= 0.0 || $percent > 100.0) {
            throw new \DomainException(\sprintf('An analysis of %s %% is impossible; it lies above 0 and at most at 100.', $percent));
        }

        return Mass::fromGrams($nutrient->grams / ($percent / 100));
    }

    /**
     * What to weigh out for a stretch.
     *
     * @param float $rate  grams of nitrogen per square metre at full feeding
     * @param float $share the crop's share of it, by feeding class
     */
    public static function weighed(Area $area, float $rate, float $share, float $percent): Working
    {
        return Working::of(Sum::Fertiliser, self::productFor(Mass::fromGrams($area->squareMetres * $rate * $share), $percent)->grams,
            Unit::Gram, 'area * rate * share / (percent / 100)',
            [
                Input::of('area', $area->squareMetres, Unit::SquareMetre, Source::garden(From::LengthTimesWidth)),
                Input::of('rate', $rate, Unit::GramPerSquareMetre, Source::garden(From::Settings)),
                Input::of('share', $share, Unit::None, Source::practice()),
                Input::of('percent', $percent, Unit::Percent, Source::garden(From::Settings)),
            ],
            Source::practice(),
        );
    }
}
