<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Measure\Goods;
use JollyFurrow\Message\Message;
use JollyFurrow\Why\Explained;

/** All that is short of one crop for one reason, and what would mend it. */
final readonly class ShortEntry
{
    public float $worth;

    /**
     * @param non-empty-list<ShortRow>   $days
     * @param array<string, string>|null $offer what one click can sow
     */
    public function __construct(public Explained $first, public array $days, public Goods $amount, public Message $mend,
        public ?array $offer)
    {
        $this->worth = array_sum(array_map(static fn (ShortRow $row): float => $row->worth, $days));
    }
}
