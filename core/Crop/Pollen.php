<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/**
 * Kinds of one crop whose pollen spoils each other's kernels: supersweet corn and any other; white and yellow, for those
 * who want them pure (common practice, no source). Varieties of one kind never need to be kept apart.
 */
enum Pollen: string
{
    case Yellow = 'yellow';
    case White = 'white';
    case Supersweet = 'supersweet';

    public function spoils(self $other): bool
    {
        return $this !== $other;
    }
}
