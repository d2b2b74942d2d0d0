<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Promise\Product;

/** How crops are picked. */
final readonly class PickTable
{
    /** Of a crop nobody said anything of: units an hour. */
    private const USUAL = 100.0;

    /** @var array<string, PickTraits> by crop */
    private array $byCrop;

    /** @param list<PickTraits> $traits */
    public function __construct(array $traits)
    {
        $byCrop = [];
        foreach ($traits as $one) {
            foreach ($one->crops as $crop) {
                $byCrop[$crop] = $one;
            }
        }
        $this->byCrop = $byCrop;
    }

    public function of(Crop $crop): PickTraits
    {
        return $this->byCrop[$crop->key] ?? $this->byCrop[$crop->item()] ?? new PickTraits('usual', [], self::USUAL, self::USUAL,
            $crop->habits->coolHours > 0 ? Cooling::Room : Cooling::None, true);
    }

    /**
     * Hours to pick and pack a unit of the crops products are made of.
     *
     * @param list<Product> $products
     *
     * @return array<string, float> by item
     */
    public function hoursOf(CropBook $crops, array $products): array
    {
        $hours = [];
        foreach ($products as $product) {
            foreach ($product->parts as $part) {
                $hours[$part->item] ??= $this->of($crops->get($part->item))->hours();
            }
        }

        return $hours;
    }
}
