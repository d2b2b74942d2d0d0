<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Message\Message;

/** One sowing day and what comes of it. Day numbers. */
final readonly class SowingDay
{
    /**
     * @param int|null               $ready null: it comes to nothing
     * @param int|null               $last  last day it holds
     * @param array<string, Message> $risks by Risk
     */
    public function __construct(public int $sow, public ?int $ready, public ?int $last, public array $risks)
    {
    }
}
