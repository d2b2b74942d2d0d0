<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Message\Code;

/** The next job a planting asks for. */
enum NextJob: string implements Code
{
    case SowInTheBed = 'sow-in-the-bed';
    case SowInTrays = 'sow-in-trays';
    case PlantOut = 'plant-out';
    case Pick = 'pick';
    case PickThenClear = 'pick-then-clear';
    case Clear = 'clear';
    /** Values: step, by the name its recipe gives it. */
    case Step = 'step';
}
