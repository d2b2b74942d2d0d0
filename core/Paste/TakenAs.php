<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

/** How a row was taken whose way into the ground the crop book does not have. */
enum TakenAs: string
{
    case SownInTheBed = 'sown-in-the-bed';
    case SownInTrays = 'sown-in-trays';
}
