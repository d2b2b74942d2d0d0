<?php

declare(strict_types=1);

namespace JollyFurrow\Load;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Pick\PickLine;
use JollyFurrow\Pick\StoreLine;

/** One crop loaded for one outlet, and where it comes from. */
final readonly class LoadLine
{
    /**
     * @param list<array{PickLine, int}>  $picked units of each
     * @param list<array{StoreLine, int}> $stored
     */
    public function __construct(public Crop $crop, public array $picked, public array $stored)
    {
    }

    public function units(): int
    {
        return array_sum(array_map(static fn (array $one): int => $one[1], [...$this->picked, ...$this->stored]));
    }

    public function crates(): int
    {
        $crate = isset($this->picked[0]) ? $this->picked[0][0]->needs->crate : $this->stored[0][0]->holding->needs->crate;

        return (int) ceil($this->units() / $crate - 1e-9);
    }

    /** It is to be cool within so many hours; 0: no hurry. */
    public function coolHours(): int
    {
        return $this->crop->habits->coolHours;
    }
}
