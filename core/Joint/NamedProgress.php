<?php

declare(strict_types=1);

namespace JollyFurrow\Joint;

use JollyFurrow\Crop\CropBook;

/** Tells crops by their names; rounds over all of them as "tight weeks". */
final readonly class NamedProgress implements Progress
{
    public function __construct(private Progress $told, private CropBook $book)
    {
    }

    public function at(int $done, int $of, string $item): bool
    {
        return $this->told->at($done, $of, $this->book->has($item) ? $this->book->get($item)->name : 'the tight weeks');
    }
}
