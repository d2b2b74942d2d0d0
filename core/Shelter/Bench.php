<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

/** A bench of the nursery: how warm it is kept, degrees C. Own model: a garden that keeps it otherwise says so. */
final readonly class Bench
{
    public const COLDEST = 0.0;
    public const WARMEST = 35.0;

    public function __construct(public float $night, public float $day)
    {
    }

    /** For what is tender; on the mats until it is up. */
    public static function warm(): self
    {
        return new self(17.0, 22.0);
    }

    public static function cool(): self
    {
        return new self(10.0, 17.0);
    }

    public function key(): string
    {
        return $this->night.'/'.$this->day;
    }
}
