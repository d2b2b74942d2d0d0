<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Time\Day;

/** What went into the boxes of an outlet on a day. */
final readonly class BoxWeek
{
    /** @param array<string, array<string, int>> $contents units of each product, by class "size/group" */
    public function __construct(public string $outlet, public Day $day, public array $contents)
    {
    }

    public function key(): string
    {
        return $this->outlet.'/'.$this->day->iso();
    }
}
