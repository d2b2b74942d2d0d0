<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

/** What a kind of care is counted from. */
enum CarePoint: string
{
    case Ground = 'ground';
    case Emergence = 'emergence';
    case Ready = 'ready';
    case Cut = 'cut';
}
