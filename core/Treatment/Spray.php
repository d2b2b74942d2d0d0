<?php

declare(strict_types=1);

namespace JollyFurrow\Treatment;

use JollyFurrow\Time\Day;

/**
 * A treatment as it was given, product and waiting as typed from its label. Nothing here recommends one.
 */
final readonly class Spray
{
    /**
     * @param list<string> $beds
     * @param int          $wait    days until a harvest may be, from its label as typed
     * @param int          $reentry days until the bed may be worked in, from its label as typed
     * @param string       $mode    mode of action, as on the label
     * @param string       $licence noted of who did it
     */
    public function __construct(public string $key, public Day $day, public array $beds, public string $product, public int $wait,
        public int $reentry = 0, public string $mode = '', public string $who = '', public string $licence = '', public string $words = '')
    {
    }

    /** The first day of harvest: ten days after the 1st it is the 11th. */
    public function harvestFrom(): Day
    {
        return $this->day->plus($this->wait);
    }

    public function enterFrom(): Day
    {
        return $this->day->plus($this->reentry);
    }

    public function isOn(string $bed): bool
    {
        return \in_array($bed, $this->beds, true);
    }
}
