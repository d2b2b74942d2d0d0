<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;

/** One way out of a room that gets full. */
final readonly class WayOut
{
    /**
     * @param float           $units    so many less there
     * @param StorePlace|null $place    lying elsewhere
     * @param Day|null        $keeps    until when it is good there, or in the ground
     * @param Planting|null   $planting with fewer metres, or left standing
     * @param float           $metres   fewer of it
     */
    private function __construct(public WayOutKind $kind, public Crop $crop, public float $units, public ?StorePlace $place = null,
        public ?Day $keeps = null, public ?Planting $planting = null, public float $metres = 0.0)
    {
    }

    public static function elsewhere(Crop $crop, float $units, StorePlace $place, Day $keeps): self
    {
        return new self(WayOutKind::Elsewhere, $crop, $units, $place, $keeps);
    }

    public static function sooner(Crop $crop, float $aWeek): self
    {
        return new self(WayOutKind::Sooner, $crop, $aWeek);
    }

    public static function inTheGround(Crop $crop, float $units, Planting $planting, Day $keeps): self
    {
        return new self(WayOutKind::InTheGround, $crop, $units, null, $keeps, $planting);
    }

    public static function fewerMetres(Crop $crop, float $units, Planting $planting, float $metres): self
    {
        return new self(WayOutKind::FewerMetres, $crop, $units, null, null, $planting, $metres);
    }
}
