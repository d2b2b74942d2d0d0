<?php

declare(strict_types=1);

namespace JollyFurrow\Keep;

use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Time\Day;

/** From when on something of a lot lay at a place. */
final readonly class Stay
{
    private function __construct(public string $place, public Day $from)
    {
    }

    /**
     * The way what lies at a place now has come there, oldest first; of several ways the last.
     *
     * @param list<Handling> $handlings of that lot, oldest first
     *
     * @return list<self>
     */
    public static function ofLot(HarvestLot $lot, string $place, array $handlings): array
    {
        $stays = [];
        foreach (array_reverse($handlings) as $handling) {
            if (\in_array($handling->kind, [HandlingKind::Moved, HandlingKind::Returned], true) && $handling->to === $place) {
                array_unshift($stays, new self($place, $handling->day));
                $place = $handling->from;
            }
        }

        return [new self($lot->place, $lot->day), ...$stays];
    }
}
