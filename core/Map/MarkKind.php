<?php

declare(strict_types=1);

namespace JollyFurrow\Map;

enum MarkKind: string
{
    case Path = 'path';
    case Water = 'water';
    case Building = 'building';
}
