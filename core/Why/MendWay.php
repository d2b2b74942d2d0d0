<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;

/** One single change that fills some of what is short, really reckoned. */
final readonly class MendWay
{
    /**
     * @param string         $key   names it among the ways of its item
     * @param list<Planting> $old   taken away
     * @param list<Planting> $new   put in their place
     * @param int            $units filled of what is short
     * @param float          $worth cents those fetch, less what other promises lose
     * @param float          $cost  cents the new plantings cost more than the old ones, beds included
     * @param Planting|null  $cover it is this planting that is to be covered; the cover's page does it
     */
    public function __construct(public string $key, public Message $kind, public array $old, public array $new, public int $units,
        public float $worth, public float $cost, public ?Planting $cover = null)
    {
    }

    public function gain(): float
    {
        return $this->worth - $this->cost;
    }
}
