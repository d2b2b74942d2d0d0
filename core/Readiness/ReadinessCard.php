<?php

declare(strict_types=1);

namespace JollyFurrow\Readiness;

/** How a grower sees that some crops are ready, for one use and for those who sell it so many days later. */
final readonly class ReadinessCard
{
    /**
     * @param list<string> $crops    keys of varieties or items
     * @param int          $saleDays for who sells it so many days after it is picked, or later
     * @param float        $from     share of its development from which it is there; 1: when the crop is ready
     * @param string       $sign     what is seen
     * @param string       $size     empty: the sign says it
     * @param string       $feel     by hand; empty: nothing
     * @param string       $cut      how it is taken off
     */
    public function __construct(public string $key, public array $crops, public HarvestUse $use, public int $saleDays, public float $from,
        public string $sign, public string $size, public string $feel, public string $cut)
    {
    }
}
