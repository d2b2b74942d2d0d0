<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** Remembers, from one time to the next, what was reckoned of sowings: timing is the same as long as the weather and the crop's values are. */
interface TimingMemory
{
    /** @param string $key of everything the answers follow from */
    public function answers(string $key): RipeningAnswers;
}
