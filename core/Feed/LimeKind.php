<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

enum LimeKind: string
{
    case Lime = 'lime';
    case Sulphur = 'sulphur';
}
