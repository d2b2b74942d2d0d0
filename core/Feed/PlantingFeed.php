<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Planting\Planting;
use JollyFurrow\Soil\Nutrients;

/** How one planting is fed: piece by piece, in doses by its stages, dated when they are first asked for. */
final class PlantingFeed
{
    /** @var list<FeedDay>|null */
    private ?array $doses = null;

    /**
     * @param list<PieceFeed>           $pieces
     * @param \Closure(): list<FeedDay> $dated
     */
    public function __construct(public readonly Planting $planting, public readonly CropNeed $row, public readonly array $pieces,
        private readonly \Closure $dated)
    {
    }

    /** @return list<FeedDay> by day */
    public function doses(): array
    {
        return $this->doses ??= ($this->dated)();
    }

    /** Grams a square metre of one piece in the n-th dose. */
    public function dose(PieceFeed $piece, int $n): Nutrients
    {
        $dose = $this->doses()[$n];

        return $piece->left->shared($dose->part, $dose->minerals, $dose->minerals);
    }

    /** Nothing is to be given. */
    public function isNone(): bool
    {
        return [] === array_filter($this->pieces, static fn (PieceFeed $p): bool => !$p->left->isNone());
    }
}
