<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Volume;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** Compost by depth over an area. */
final readonly class Compost
{
    private function __construct(public Volume $volume, public Working $working)
    {
    }

    public static function over(Area $area, Length $depth): self
    {
        $volume = $area->timesDepth($depth);

        return new self($volume, Working::of(Sum::Compost, $volume->litres, Unit::Litre, 'area * depth',
            [
                Input::of('area', $area->squareMetres, Unit::SquareMetre, Source::garden(From::LengthTimesWidth)),
                Input::of('depth', $depth->millimetres(), Unit::Millimetre, Source::garden(From::Settings)),
            ],
            Source::practice(),
        ));
    }
}
