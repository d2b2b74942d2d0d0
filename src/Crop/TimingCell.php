<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/** What a sowing day comes to at one place, as a cell of the chart's table. */
final readonly class TimingCell
{
    /** @param list<Message> $why what stands against it */
    public function __construct(public ?Day $ready, public ?Day $last, public array $why)
    {
    }
}
