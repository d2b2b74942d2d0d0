<?php

declare(strict_types=1);

namespace App\Lists;

/** Kinds of lists a garden is written out to and read in from, row by row. */
enum ListKind: string
{
    case Beds = 'beds';
    case Outlets = 'outlets';
    case Products = 'products';
    case Promises = 'promises';
    case Plantings = 'plantings';
    case Harvests = 'harvests';
    case Readings = 'readings';
    case Notes = 'notes';
    case History = 'history';

    /** What happened is told, not typed. */
    public function comesIn(): bool
    {
        return self::Notes !== $this && self::History !== $this;
    }
}
