<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** How what is stored is cleaned, and when: growers differ. */
enum Cleaning: string
{
    /** Washed as it comes in, or not stored at all. */
    case Washed = 'washed';
    /** Soil and loose skin rubbed off when dry. */
    case Rubbed = 'rubbed';
    /** As dug into the store, washed when it is sold. */
    case AsDug = 'as-dug';
    /** Rubbed with gloves, never washed; 2.5 cm of stem stays on. */
    case StemLeft = 'stem-left';
    case StemTrimmed = 'stem-trimmed';

    /** The work of it falls on the day it is sold, not on the harvest. */
    public function isAtSale(): bool
    {
        return self::AsDug === $this;
    }
}
