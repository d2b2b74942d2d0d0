<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/** Planted: a kernel must not know objects of the core. */
final class KernelArrow
{
    public function arrow(\JollyFurrow\Time\Day $value): void
    {
    }
}
