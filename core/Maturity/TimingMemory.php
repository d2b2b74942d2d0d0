<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

/** Remembers, from one time to the next, what was reckoned of sowings: it holds as long as the weather and the crop's values do. */
interface TimingMemory
{
    /** @param string $key of everything the answers follow from */
    public function answers(string $key): RipeningAnswers;
}
