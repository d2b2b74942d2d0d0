<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Planting\Planting;
use JollyFurrow\Soil\Nutrients;

/** How one planting is fed: piece by piece, in doses by its stages. */
final readonly class PlantingFeed
{
    /**
     * @param list<PieceFeed> $pieces
     * @param list<FeedDay>   $doses  by day
     */
    public function __construct(public Planting $planting, public CropNeed $row, public array $pieces, public array $doses)
    {
    }

    /** Grams a square metre of one piece in the n-th dose: its part of the nitrogen, all phosphate and potash with the first. */
    public function dose(PieceFeed $piece, int $n): Nutrients
    {
        return $piece->left->shared($this->doses[$n]->part, 0 === $n ? 1.0 : 0.0, 0 === $n ? 1.0 : 0.0);
    }

    /** Nothing is to be given. */
    public function isNone(): bool
    {
        return [] === array_filter($this->pieces, static fn (PieceFeed $p): bool => !$p->left->isNone());
    }
}
