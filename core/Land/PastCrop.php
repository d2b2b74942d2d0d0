<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Time\Day;

/** What stood on a stretch before, and when it was cleared. */
final readonly class PastCrop
{
    public function __construct(public Stretch $stretch, public string $crop, public Day $cleared)
    {
    }
}
