<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** What a crop is put through before it is stored. */
final readonly class Curing
{
    /**
     * @param float $celsius  it is cured at
     * @param int   $humidity per cent
     * @param int   $least    days
     * @param int   $most     days
     */
    public function __construct(public float $celsius, public int $humidity, public int $least, public int $most)
    {
    }
}
