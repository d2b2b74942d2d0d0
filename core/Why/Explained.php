<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Plan\Shortage;

/** A shortage with its reason and what would still mend it. */
final readonly class Explained
{
    public function __construct(public Shortage $shortage, public ShortageReason $reason, public ?Mend $mend)
    {
    }
}
