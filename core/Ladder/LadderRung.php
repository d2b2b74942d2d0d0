<?php

declare(strict_types=1);

namespace JollyFurrow\Ladder;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/** One variety of a ladder: when it can be harvested from the day all are planted. */
final readonly class LadderRung
{
    /** @param Day|null $from null: it comes to nothing from that day; why says so */
    public function __construct(public Crop $crop, public ?Day $from, public ?Day $until, public ?Message $why)
    {
    }
}
