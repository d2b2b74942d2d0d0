<?php

declare(strict_types=1);

namespace JollyFurrow\Purchase;

enum PurchaseKind: string
{
    case Product = 'product';
    case Compost = 'compost';
    case Seed = 'seed';
    case Film = 'film';
    case Straw = 'straw';
}
