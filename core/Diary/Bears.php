<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

/** What weather a job bears. */
enum Bears: string
{
    /** It wants dry soil or dry leaves. */
    case Dry = 'dry';
    case Any = 'any';
    /** Under a roof: kept for a wet day where it can wait. */
    case Roof = 'roof';
}
