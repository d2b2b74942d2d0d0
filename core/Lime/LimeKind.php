<?php

declare(strict_types=1);

namespace JollyFurrow\Lime;

enum LimeKind: string
{
    case Lime = 'lime';
    case Sulphur = 'sulphur';
}
