<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Message\Code;

/** In which way a list or sheet is too large. */
enum TooLarge: string implements Code
{
    case Rows = 'rows';
    case Columns = 'columns';
    case Cell = 'cell';
    case Bytes = 'bytes';
    case Unpacked = 'unpacked';
}
