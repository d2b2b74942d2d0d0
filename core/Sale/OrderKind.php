<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

/** What somebody ordered: for one market day, or the same again on each. */
enum OrderKind: string
{
    case Firm = 'firm';
    case Standing = 'standing';
}
