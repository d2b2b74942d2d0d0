<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

/** Planted: the core must not know the application. */
final class CoreArrow
{
    public function arrow(\App\Shared\Today $value): void
    {
    }
}
