<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

/** "Not here": a crop, a variety or a family that is kept off a bed or a block. */
final readonly class NotHere
{
    public function __construct(public string $what, public string $where, public string $why = '')
    {
    }
}
