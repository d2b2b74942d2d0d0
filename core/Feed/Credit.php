<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Soil\Nutrients;

/** Grams a square metre from one of them. */
final readonly class Credit
{
    public function __construct(public CreditKind $kind, public Nutrients $gives, public string $of = '')
    {
    }
}
