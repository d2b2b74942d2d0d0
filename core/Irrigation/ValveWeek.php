<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

use JollyFurrow\Land\Valve;
use JollyFurrow\Time\Day;

/** What one valve has to give in a week. */
final readonly class ValveWeek
{
    /**
     * @param list<BedWater> $beds   the thirstiest first
     * @param float          $litres of all of them
     * @param int            $times  it is opened
     */
    public function __construct(public ?Valve $valve, public Day $monday, public array $beds, public float $litres, public int $times)
    {
    }

    /** Minutes in the week; null: it is not known what it lets through. */
    public function minutes(): ?float
    {
        return null === $this->valve || $this->valve->litres <= 0.0 ? null : $this->litres / $this->valve->litres;
    }
}
