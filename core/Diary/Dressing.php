<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

/** What was done to seed before it was sold. Only plain seed is soaked. */
enum Dressing: string
{
    case None = 'plain';
    case Pelleted = 'pelleted';
    case Primed = 'primed';
    case Treated = 'treated';
}
