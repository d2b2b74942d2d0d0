<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Crop\Crop;

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
}
