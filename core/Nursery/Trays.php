<?php

declare(strict_types=1);

namespace JollyFurrow\Nursery;

use JollyFurrow\Crop\Container;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Benches;

/** The trays of one planting. */
final readonly class Trays
{
    private function __construct(public SeedNeed $need, public float $trays, public bool $areOnMat, public bool $areThinned,
        public Container $container, private Crop $crop)
    {
    }

    /** @param array<string, Bed> $beds by name */
    public static function of(Crop $crop, Planting $planting, array $beds): self
    {
        $stand = $crop->standFor(Method::Transplanted);
        $need = SeedNeed::of($crop, Method::Transplanted, Spacing::inBed($stand, $beds[$planting->pieces[0]->bed ?? '']->width
            ?? Length::fromMicrometres(Spacing::STANDARD_WIDTH), $planting->length()));

        return new self($need, $need->trays->value ?? 0.0, $crop->tender && Container::Seedbed !== $stand->container,
            $stand->seedsPerSpot > $stand->plantsPerSpot, $stand->container, $crop);
    }

    /** Days until they are up: on the mat or the warm bench as warm as its day, on the cool bench at its mean. */
    public function daysUp(Benches $benches): int
    {
        $warmth = $this->areOnMat ? $benches->warm->day : ($benches->cool->day + $benches->cool->night) / 2;

        return (int) ceil($this->crop->growth->emergence->daysAt($warmth) ?? 0.0);
    }
}
