<?php

declare(strict_types=1);

namespace App\Problems;

/** What is wrong with a season as it is planned. */
enum ProblemKind: string
{
    /** It may not stand so: an overlap, a hard rule. */
    case Barred = 'barred';
    case Short = 'short';
    case Late = 'late';
    case BedNotReady = 'bed-not-ready';
    case Frost = 'frost';
    case Hours = 'hours';
    case Bench = 'bench';
    case TooMuch = 'too-much';
    case Room = 'room';
    case Bent = 'bent';
}
