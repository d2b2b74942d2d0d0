<?php

declare(strict_types=1);

namespace JollyFurrow\Nursery;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
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
        $plants = self::plants($crop, $spacing);
        $cells = Method::Transplanted === $method ? self::cells($crop, $spacing) : null;
        $seeds = null === $cells ? self::sownSeeds($crop, $spacing, $plants) : self::traySeeds($crop, $cells);

        return new self($plants, $cells, null === $cells ? null : self::trays($crop, $cells), $seeds, self::grams($crop, $seeds));
    }

    /** Pieces sown per spot, so that the wanted stand comes up: plants / (germination x field factor x plants per seed unit). */
    private static function sownSeeds(Crop $crop, Spacing $spacing, Working $plants): Working
    {
        $stand = $crop->stand;
        $needed = ceil($plants->value / ($stand->germination * $stand->fieldFactor * $stand->plantsPerSeedUnit) - 1e-9);
        $sown = $spacing->spots() * $stand->seedsPerSpot;

        return Working::of('Seed, pieces', max($needed, $sown), 'pieces',
            'the larger of: what the stand needs (plants / (germination x field factor x plants per seed unit)), and seeds per spot x spots',
            'max(ceil(plants / (germination * field * perUnit) - 0.000000001), perSpot * spots)', [
                Input::of('plants', 'plants wanted', $plants->value, 'plants', Source::garden('working above')),
                Input::of('germination', 'germination', $stand->germination, '', $crop->source('germination')),
                Input::of('field', 'field factor', $stand->fieldFactor, '', $crop->source('field_factor')),
                Input::of('perUnit', 'plants per seed unit', $stand->plantsPerSeedUnit, '', $crop->source('plants_per_seed_unit')),
                Input::of('perSpot', 'seeds per spot', $stand->seedsPerSpot, '', $crop->source('seeds_per_spot')),
                Input::of('spots', 'spots', $spacing->spots(), 'spots', Source::garden('spacing')),
            ], Source::practice());
    }

    private static function plants(Crop $crop, Spacing $spacing): Working
    {
        return Working::of('Plants', $spacing->spots() * $crop->stand->plantsPerSpot, 'plants', 'spots x plants left at each spot', 'spots * perSpot', [
            Input::of('spots', 'spots', $spacing->spots(), 'spots', Source::garden('spacing')),
            Input::of('perSpot', 'plants left at each spot', $crop->stand->plantsPerSpot, 'plants', $crop->source('plants_per_spot')),
        ], Source::practice());
    }

    private static function cells(Crop $crop, Spacing $spacing): Working
    {
        $cells = ceil($spacing->spots() / (1 - $crop->stand->trayLoss) - 1e-9);

        return Working::of('Cells to raise', $cells, 'cells', 'spots / (1 - loss in the nursery), rounded up', 'ceil(spots / (1 - loss) - 0.000000001)', [
            Input::of('spots', 'spots', $spacing->spots(), 'spots', Source::garden('spacing')),
            Input::of('loss', 'loss in the nursery', $crop->stand->trayLoss, '', $crop->source('tray_loss')),
        ], Source::practice());
    }

    private static function trays(Crop $crop, Working $cells): Working
    {
        return Working::of('Trays', ceil($cells->value / $crop->stand->cellsPerTray), 'trays', 'cells / cells per tray, whole trays', 'ceil(cells / perTray)', [
            Input::of('cells', 'cells', $cells->value, 'cells', Source::garden('working above')),
            Input::of('perTray', 'cells per tray', $crop->stand->cellsPerTray, 'cells', $crop->source('cells_per_tray')),
        ], Source::practice());
    }

    private static function traySeeds(Crop $crop, Working $cells): Working
    {
        return Working::of('Seed, pieces', $cells->value * $crop->stand->seedsPerSpot, 'pieces', 'cells x seeds per cell', 'cells * perSpot', [
            Input::of('cells', 'cells', $cells->value, 'cells', Source::garden('working above')),
            Input::of('perSpot', 'seeds per cell', $crop->stand->seedsPerSpot, '', $crop->source('seeds_per_spot')),
        ], Source::practice());
    }

    private static function grams(Crop $crop, Working $seeds): Working
    {
        return Working::of('Seed, weight', $seeds->value * $crop->stand->thousandSeedGrams / 1000, 'g', 'pieces x weight of a thousand / 1000', 'pieces * thousand / 1000', [
            Input::of('pieces', 'pieces', $seeds->value, 'pieces', Source::garden('working above')),
            Input::of('thousand', 'weight of a thousand', $crop->stand->thousandSeedGrams, 'g', $crop->source('thousand_seed_g')),
        ], Source::practice());
    }
}
