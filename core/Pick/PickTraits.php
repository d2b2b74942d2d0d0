<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

/** How fast some crops are picked and made ready for sale, and how they are cooled. Common practice, no source. */
final readonly class PickTraits
{
    /**
     * @param list<string> $crops    keys of varieties or items
     * @param float        $pick     units of sale one person picks in an hour, above 0
     * @param float        $clean    units one person bunches, washes, grades and packs in an hour, above 0
     * @param bool         $bearsWet it may be picked with wet leaves
     */
    public function __construct(public string $key, public array $crops, public float $pick, public float $clean, public Cooling $cooling,
        public bool $bearsWet)
    {
    }

    /** Hours a unit, picked and made ready. */
    public function hours(): float
    {
        return 1 / $this->pick + 1 / $this->clean;
    }
}
