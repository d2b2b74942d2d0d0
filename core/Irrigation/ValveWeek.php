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

    /** How often it is opened: by the grower's rhythm, else as the soil asks for; 0 where nothing wants water. */
    public function openings(): int
    {
        return $this->times > 0 && null !== $this->valve?->every ? (int) ceil(7 / $this->valve->every) : $this->times;
    }

    /** Minutes each time; null: it is not known what it lets through, or it stays shut. */
    public function minutesEach(): ?float
    {
        $minutes = $this->minutes();

        return null === $minutes || 0 === $this->openings() ? null : $minutes / $this->openings();
    }

    /** Minutes in the week; null: it is not known what it lets through. */
    public function minutes(): ?float
    {
        return null === $this->valve || $this->valve->litres <= 0.0 ? null : $this->litres / $this->valve->litres;
    }
}
