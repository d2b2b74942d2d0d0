<?php

declare(strict_types=1);

namespace JollyFurrow\Joint;

/** Told how far the planner is; it may ask for an early end. */
interface Progress
{
    /** @return bool false: stop here with what there is */
    public function at(int $done, int $of, string $item): bool;
}
