<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

/** Crops cooled in one way within so many hours. */
final readonly class CoolFirst
{
    /**
     * @param int                $hours 0: no hurry
     * @param array<string, int> $crops crates by name of the crop
     */
    private function __construct(public Cooling $way, public int $hours, public array $crops)
    {
    }

    /** @param list<PickLine> $lines */
    public static function of(Cooling $way, int $hours, array $lines): self
    {
        $crops = [];
        foreach ($lines as $line) {
            $crops[$line->crop->name] = ($crops[$line->crop->name] ?? 0) + $line->crates();
        }

        return new self($way, $hours, $crops);
    }
}
