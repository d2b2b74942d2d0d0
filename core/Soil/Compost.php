<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Volume;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
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

        return new self($volume, Working::of(
            'Compost for this stretch',
            $volume->litres,
            'l',
            'area x depth (1 mm on 1 m² is 1 litre)',
            'area * depth',
            [
                Input::of('area', 'area of the stretch', $area->squareMetres, 'm²', Source::garden('length x width')),
                Input::of('depth', 'depth spread', $depth->millimetres, 'mm', Source::garden('settings')),
            ],
            Source::practice(),
        ));
    }
}
