<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

/** Whether plants may go out. */
enum PlantOut: string
{
    case Ready = 'ready';
    case Wait = 'wait';
    case NowOrNever = 'now-or-never';
}
