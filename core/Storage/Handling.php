<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Time\Day;

/** What became of a part of a lot on a day. */
final readonly class Handling
{
    /**
     * @param string $lot        key of the lot
     * @param int    $hundredths of a unit of sale: grams of what is sold by weight; 0 for a look
     * @param string $from       key of the place it lay in
     * @param string $to         key of the place it was moved to, or of the outlet it was sold to
     * @param string $words      cause or what was seen
     */
    public function __construct(public string $key, public string $lot, public Day $day, public HandlingKind $kind,
        public int $hundredths, public string $from, public string $to = '', public string $words = '')
    {
    }
}
