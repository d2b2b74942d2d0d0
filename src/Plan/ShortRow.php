<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Measure\Goods;
use JollyFurrow\Time\Day;

/** What one outlet goes short of on one market day. */
final readonly class ShortRow
{
    /**
     * @param float       $units   of sale that are short
     * @param float       $worth   cents
     * @param string|null $product key of a product that is made of it
     */
    public function __construct(public string $item, public string $name, public string $outlet, public Day $day, public float $units,
        public Goods $amount, public Goods $of, public float $worth, public ?string $product)
    {
    }

    /** The dearest first, then the soonest. */
    public static function order(self $a, self $b): int
    {
        return [$b->worth, $a->day->number, $a->item] <=> [$a->worth, $b->day->number, $b->item];
    }
}
