<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

/** A garden to practise in: its day is moved on by hand, and a crew made by chance does what is due. */
final readonly class Practice
{
    private const MOST = 999_999;

    /** @param int $seed of the crew's chance: the same seed, the same season */
    private function __construct(public int $seed)
    {
    }

    public static function seeded(int $seed): self
    {
        return new self(abs($seed) % (self::MOST + 1));
    }

    public static function byChance(): self
    {
        return new self(random_int(0, self::MOST));
    }
}
