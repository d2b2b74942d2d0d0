<?php

declare(strict_types=1);

namespace JollyFurrow\Proposal;

/** What a proposal would do with a planting. */
enum ChangeKind: string
{
    case Fresh = 'new';
    case Moved = 'moved';
    case Dropped = 'dropped';
    case Kept = 'kept';
}
