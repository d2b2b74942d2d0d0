<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

/** What else a planting could have been, and what that would have cost more. */
final readonly class Alternative
{
    /**
     * @param string $question what is chosen: day, variety, way, length or bed
     * @param string $chosen   as it is, in words
     * @param string $other    the runner-up, in words; empty: there is none
     * @param float  $more     cents it would cost more, broken promises included; less than nought: it would cost less
     * @param int    $units    promised units it would leave short that are served now; less than nought: it would serve more
     */
    public function __construct(public string $question, public string $chosen, public string $other, public float $more, public int $units)
    {
    }
}
