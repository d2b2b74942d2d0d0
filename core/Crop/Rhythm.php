<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Time\YearWindow;

/**
 * How the yield comes once a crop is ready: cuts (number, days of regrowth, share of the first),
 * picking (interval, days it lasts, days of ramp), perennial (years to the first harvest, weeks of the year).
 */
final readonly class Rhythm
{
    /** @param list<int> $seasons days it is harvested in each of its first seasons, where it is spared while young */
    public function __construct(
        public int $cuts,
        public int $every,
        public float $laterShare,
        public int $lasts,
        public int $ramp,
        public int $yearsToFirst,
        public ?YearWindow $harvest,
        public array $seasons = [],
    ) {
    }

    /** Whether it may be harvested so many days after the first harvest of that season; 0: its first. */
    public function isSpared(int $season, int $after): bool
    {
        return $after >= ($this->seasons[$season] ?? \PHP_INT_MAX);
    }
}
