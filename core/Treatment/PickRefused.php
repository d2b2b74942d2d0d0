<?php

declare(strict_types=1);

namespace JollyFurrow\Treatment;

use JollyFurrow\Message\Code;

/** Why a bed may not be harvested yet. */
enum PickRefused: string implements Code
{
    /** Values: bed, product, day, until. */
    case Sprayed = 'sprayed';
    /** Values: bed, product, until. */
    case Manured = 'manured';
}
