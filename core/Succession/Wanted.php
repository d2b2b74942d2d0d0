<?php

declare(strict_types=1);

namespace JollyFurrow\Succession;

use JollyFurrow\Need\Item;
use JollyFurrow\Need\Need;
use JollyFurrow\Ways\Candidate;

/** What is still to serve of one item, and all ways to grow it. */
final readonly class Wanted
{
    /**
     * @param list<Need>      $needs
     * @param list<Candidate> $candidates by sowing day
     */
    public function __construct(public Item $item, public array $needs, public array $candidates)
    {
    }
}
