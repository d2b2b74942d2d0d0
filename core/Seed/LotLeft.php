<?php

declare(strict_types=1);

namespace JollyFurrow\Seed;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Diary\SeedLot;

/** A lot today: what is left of it, and what that is worth in seed as good as the book's. */
final readonly class LotLeft
{
    /** Seed that comes up less than half as well as it should is thrown out (common practice, no source). */
    private const LEAST = 0.5;
    private const AS_GOOD = 0.95;

    /**
     * @param float $grams  left
     * @param float $usable grams of seed as good as the book's that it stands for
     * @param float $times  as much more is sown of it
     */
    private function __construct(public SeedLot $lot, public float $grams, public float $usable, public SeedState $state,
        public float $times)
    {
    }

    public static function of(SeedLot $lot, Crop $crop, float $used, int $year): self
    {
        $grams = max(0.0, $lot->grams - $used);
        $share = null === $lot->germination ? 1.0 : $lot->germination / $crop->stand->germination;
        $state = match (true) {
            $share < self::LEAST => SeedState::ThrowOut,
            null === $lot->germination && $year - $lot->year > SeedLife::years($crop) => SeedState::Test,
            $share < self::AS_GOOD => SeedState::Thicker,
            default => SeedState::Good,
        };
        $isUsable = SeedState::ThrowOut !== $state && SeedState::Test !== $state;

        return new self($lot, $grams, $isUsable ? $grams * min(1.0, $share) : 0.0, $state, $isUsable ? max(1.0, 1 / $share) : 1.0);
    }
}
