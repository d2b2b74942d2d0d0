<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Measure\Length;

/** Another way to stand in a bed of the standard width than the book's dense one. */
final readonly class SpacingSchool
{
    public function __construct(public int $rows, public Length $inRow)
    {
    }
}
