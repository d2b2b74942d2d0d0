<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

/** How sure somebody may be of getting it, the surest first. */
enum ClaimKind: int
{
    case Firm = 0;
    case Standing = 1;
    case Promise = 2;
}
