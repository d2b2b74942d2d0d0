<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** What a grower knows of a crop beside its days, its stand and its yield. */
final readonly class Habits
{
    /**
     * @param int                $coolHours     it is to be cool within so many hours; 0: no hurry
     * @param SpacingSchool      $hoe           wide rows for the hoe
     * @param SpacingSchool|null $underCover    closer under cover; null: not grown there
     * @param int                $stockAhead    days before planting that the stock is cut, sprouted or started
     * @param string             $rotation      group of a rotation cycle
     * @param int                $isolation     metres from what spoils it when in flower; 0: none
     * @param int                $isolationDays or so many days between flowerings
     * @param Pollen|null        $pollen        its kind, where kinds spoil each other; null: none do
     * @param int|null           $flowerDays    days from open flower to the first harvest, where bees must reach it
     */
    public function __construct(
        public Hardiness $hardiness,
        public string $sign,
        public PickTime $pickTime,
        public int $coolHours,
        public SpacingSchool $hoe,
        public ?SpacingSchool $underCover,
        public Stock $stock,
        public int $stockAhead,
        public float $phLeast,
        public float $phMost,
        public string $rotation,
        public int $isolation,
        public int $isolationDays,
        public ?Pollen $pollen,
        public ?int $flowerDays,
        public ?StoreRoom $store,
        public string $toxic,
    ) {
    }

    /** Whether the two are to be kept apart when in flower. */
    public function isSpoiledBy(self $other): bool
    {
        return null !== $this->pollen && null !== $other->pollen && $this->isolation > 0 && $this->pollen->spoils($other->pollen);
    }

    public function needsBees(): bool
    {
        return null !== $this->flowerDays;
    }
}
