<?php

declare(strict_types=1);

namespace JollyFurrow\Nursery;

use JollyFurrow\Crop\Container;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** Seed, cells and trays for one planting. */
final readonly class SeedNeed
{
    private function __construct(
        public Working $plants,
        public ?Working $cells,
        public ?Working $trays,
        public Working $seeds,
        public Working $grams,
    ) {
    }

    public static function of(Crop $crop, Method $method, Spacing $spacing): self
    {
        $plants = self::plants($crop, $method, $spacing);
        $cells = Method::Transplanted === $method ? self::cells($crop, $spacing) : null;
        $seeds = null === $cells ? self::inTheBed($crop, $spacing, $plants) : self::traySeeds($crop, $cells);

        return new self($plants, $cells, null === $cells || Container::Seedbed === $crop->stand->container ? null
            : self::trays($crop, $cells), $seeds, self::grams($crop, $seeds));
    }

    private static function inTheBed(Crop $crop, Spacing $spacing, Working $plants): Working
    {
        return null === $crop->stand->sowing ? self::sownSeeds($crop, $spacing, $plants) : self::sownAt($crop, $spacing,
            $crop->stand->sowing);
    }

    /** Sown at a distance of its own, and left to stand as it comes up or thinned. */
    private static function sownAt(Crop $crop, Spacing $spacing, Length $distance): Working
    {
        return Working::of(Sum::SeedSownAt, $spacing->rows * floor($spacing->length->metres() / $distance->metres() + 1e-9), Unit::Seed,
            'rows * floor(length / distance + 0.000000001)', [
                Input::of('rows', $spacing->rows, Unit::Row, Source::garden(From::Spacing)),
                Input::of('length', $spacing->length->centimetres(), Unit::Centimetre, Source::garden(From::ThePlanting)),
                Input::of('distance', $distance->centimetres(), Unit::Centimetre, $crop->source('sow_cm')),
            ], Source::practice());
    }

    /** Pieces sown per spot, so that the wanted stand comes up: plants / (germination x field factor x plants per seed unit). */
    private static function sownSeeds(Crop $crop, Spacing $spacing, Working $plants): Working
    {
        $stand = $crop->stand;
        $needed = ceil($plants->value / ($stand->germination * $stand->fieldFactor * $stand->plantsPerSeedUnit) - 1e-9);
        $sown = $spacing->spots() * $stand->seedsPerSpot;

        return Working::of(Sum::SeedSown, max($needed, $sown), Unit::Seed,
            'max(ceil(plants / (germination * field * perUnit) - 0.000000001), perSpot * spots)', [
                Input::of('plants', $plants->value, Unit::Plant, Source::garden(From::WorkingAbove)),
                Input::of('germination', $stand->germination, Unit::Share, $crop->source('germination')),
                Input::of('field', $stand->fieldFactor, Unit::Share, $crop->source('field_factor')),
                Input::of('perUnit', $stand->plantsPerSeedUnit, Unit::None, $crop->source('plants_per_seed_unit')),
                Input::of('perSpot', $stand->seedsPerSpot, Unit::None, $crop->source('seeds_per_spot')),
                Input::of('spots', $spacing->spots(), Unit::Spot, Source::garden(From::Spacing)),
            ], Source::practice());
    }

    private static function plants(Crop $crop, Method $method, Spacing $spacing): Working
    {
        $perSpot = $crop->standFor($method)->plantsPerSpot;
        $value = $crop->stand === $crop->standFor($method) ? 'plants_per_spot' : 'plants_per_cell';

        return Working::of(Sum::Plants, $spacing->spots() * $perSpot, Unit::Plant, 'spots * perSpot', [
            Input::of('spots', $spacing->spots(), Unit::Spot, Source::garden(From::Spacing)),
            Input::of('perSpot', $perSpot, Unit::Plant, $crop->source($value)),
        ], Source::practice());
    }

    private static function cells(Crop $crop, Spacing $spacing): Working
    {
        $cells = ceil($spacing->spots() / (1 - $crop->stand->trayLoss) - 1e-9);

        return Working::of(Sum::Cells, $cells, Unit::Cell, 'ceil(spots / (1 - loss) - 0.000000001)', [
            Input::of('spots', $spacing->spots(), Unit::Spot, Source::garden(From::Spacing)),
            Input::of('loss', $crop->stand->trayLoss, Unit::Share, $crop->source('tray_loss')),
        ], Source::practice());
    }

    private static function trays(Crop $crop, Working $cells): Working
    {
        return Working::of(Sum::Trays, ceil($cells->value / $crop->stand->cellsPerTray), Unit::Tray, 'ceil(cells / perTray)', [
            Input::of('cells', $cells->value, Unit::Cell, Source::garden(From::WorkingAbove)),
            Input::of('perTray', $crop->stand->cellsPerTray, Unit::Cell, $crop->source('cells_per_tray')),
        ], Source::practice());
    }

    private static function traySeeds(Crop $crop, Working $cells): Working
    {
        $stand = $crop->standFor(Method::Transplanted);
        $value = $crop->stand === $stand ? 'seeds_per_spot' : 'seeds_per_cell';

        return Working::of(Sum::SeedInTrays, $cells->value * $stand->seedsPerSpot, Unit::Seed, 'cells * perSpot', [
            Input::of('cells', $cells->value, Unit::Cell, Source::garden(From::WorkingAbove)),
            Input::of('perSpot', $stand->seedsPerSpot, Unit::None, $crop->source($value)),
        ], Source::practice());
    }

    private static function grams(Crop $crop, Working $seeds): Working
    {
        return Working::of(Sum::SeedWeight, $seeds->value * $crop->stand->thousandSeedGrams / 1000, Unit::Gram,
            'pieces * thousand / 1000', [
            Input::of('pieces', $seeds->value, Unit::Seed, Source::garden(From::WorkingAbove)),
            Input::of('thousand', $crop->stand->thousandSeedGrams, Unit::Gram, $crop->source('thousand_seed_g')),
        ], Source::practice());
    }
}
