<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

/** Planted: the checker must not know the planner. */
final class CheckArrow
{
    public function arrow(\JollyFurrow\Plan\Planner $value): void
    {
    }
}
