<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

use JollyFurrow\Time\Period;

/** A cover over one bed, or over one planting, from the day it is put on until the day it comes off. */
final readonly class Protection
{
    /** @param string $planting key of the planting; empty: whatever stands on the bed */
    private function __construct(public string $bed, public string $planting, public Cover $cover, public Purpose $purpose,
        public Period $days)
    {
    }

    public static function overBed(string $bed, Cover $cover, Purpose $purpose, Period $days): self
    {
        return new self($bed, '', $cover, $purpose, $days);
    }

    public static function overPlanting(string $planting, Cover $cover, Purpose $purpose, Period $days): self
    {
        return new self('', $planting, $cover, $purpose, $days);
    }

    /** @param list<string> $beds beds the planting stands on */
    public function isOver(string $planting, array $beds): bool
    {
        return '' !== $this->planting ? $this->planting === $planting : \in_array($this->bed, $beds, true);
    }
}
