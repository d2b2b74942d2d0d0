<?php

declare(strict_types=1);

namespace JollyFurrow\Nursery;

use JollyFurrow\Measure\Volume;

/** Potting mix for trays, by what they hold. */
final class PottingMix
{
    /** @param list<Trays> $all */
    public static function for(array $all): Volume
    {
        return Volume::fromLitres(array_sum(array_map(static fn (Trays $t): float => $t->trays * $t->container->litresATray(), $all)));
    }
}
