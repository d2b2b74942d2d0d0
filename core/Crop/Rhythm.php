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
    public function __construct(
        public int $cuts,
        public int $every,
        public float $laterShare,
        public int $lasts,
        public int $ramp,
        public int $yearsToFirst,
        public ?YearWindow $harvest,
    ) {
    }
}
