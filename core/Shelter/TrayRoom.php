<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

/** How many trays the nursery holds: on its benches, mat included; on the heat mat; outside to harden. 0: nobody said. */
final readonly class TrayRoom
{
    public const MOST = 100_000;

    public function __construct(public int $bench = 0, public int $mat = 0, public int $outside = 0)
    {
    }

    public function isSaid(): bool
    {
        return $this->bench + $this->mat + $this->outside > 0;
    }
}
