<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Message\Code;

/** Why something wanted is on no pick list. */
enum PickReason: string implements Code
{
    /** Nothing of it is ripe, nor lies in store, that would still be good. */
    case NothingThere = 'nothing-there';
    /** The days have no more hours. */
    case NoHours = 'no-hours';
    /** It would lie where there is no room for the nights. */
    case NoRoom = 'no-room';
}
