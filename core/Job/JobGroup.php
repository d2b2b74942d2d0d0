<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

/** In what order jobs are looked at. */
enum JobGroup: string
{
    case Now = 'now';
    case Dry = 'dry';
    case Wet = 'wet';
    case Whenever = 'whenever';
}
