<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

/** What a task is of. */
enum About: string
{
    case Planting = 'planting';
    case Bed = 'bed';
    case Block = 'block';
    case OwnJob = 'own';
    case Garden = 'garden';
}
