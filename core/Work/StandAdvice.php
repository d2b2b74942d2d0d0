<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

/** What a count of the stand advises. */
enum StandAdvice: string
{
    case Keep = 'keep';
    case Patch = 'patch';
    /** Too thin, and a new sowing comes too late for what it serves. */
    case TooLate = 'too-late';
    case SowAgain = 'sow-again';
}
