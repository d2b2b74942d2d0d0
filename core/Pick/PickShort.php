<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/** Units wanted for a market day that are on no list. */
final readonly class PickShort
{
    public function __construct(public Day $market, public Crop $crop, public string $outlet, public int $units, public Message $why)
    {
    }
}
