<?php

declare(strict_types=1);

namespace App\Log;

use JollyFurrow\Message\Code;

/** What somebody else's change makes of a form that is still open. */
enum MeanwhileSaid: string implements Code
{
    /** Values: what. */
    case Changed = 'changed';
    /** Values: why, in words. */
    case NotPossible = 'not-possible';
}
