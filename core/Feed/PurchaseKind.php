<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

enum PurchaseKind: string
{
    case Product = 'product';
    case Compost = 'compost';
    case Seed = 'seed';
}
