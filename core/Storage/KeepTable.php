<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Produce;

/** How crops keep: life and best warmth by the book, the rest row by row; a variety with a row of its own goes by that. */
final readonly class KeepTable
{
    /** Units of sale in a crate of 60 x 40 x 30 cm (common practice, no source): ten kilograms of what is weighed. */
    private const CRATE_BY_WEIGHT = 100;
    private const CRATE = ['bunch' => 20, 'head' => 10, 'stalk' => 20, 'bulb' => 30, 'fruit' => 12, 'ear' => 40];
    private const OTHER_CRATE = 12;
    private const DAMP = 95;

    /** @param list<KeepTraits> $rows */
    public function __construct(public array $rows)
    {
    }

    public function of(Crop $crop): StoreNeeds
    {
        $store = $crop->habits->store;
        $traits = $this->traits($crop);
        $days = $crop->produce->keepingDays;
        $least = $store->least ?? $days;
        $most = $store->most ?? $days;

        return new StoreNeeds($store->celsius ?? 0.0, $store->humidity ?? self::DAMP, $least, max($least, min($most, $days)), $most,
            $store?->chill, $traits->crate > 0.0 ? $traits->crate : self::usualCrate($crop->produce), $traits, $crop->source('store_days'));
    }

    private function traits(Crop $crop): KeepTraits
    {
        $found = null;
        foreach ($this->rows as $row) {
            if (\in_array($crop->key, $row->crops, true)) {
                return $row;
            }
            $found = \in_array($crop->item(), $row->crops, true) ? $row : $found;
        }

        return $found ?? KeepTraits::none();
    }

    private static function usualCrate(Produce $produce): float
    {
        return $produce->isByWeight() ? self::CRATE_BY_WEIGHT : self::CRATE[$produce->unit] ?? self::OTHER_CRATE;
    }
}
