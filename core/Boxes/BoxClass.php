<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

/** Boxes of one size for one group, all filled alike. */
final readonly class BoxClass
{
    /**
     * @param float              $cents  a box
     * @param int                $kinds  there should be in it
     * @param array<string, int> $had    how often the group has had an item this season
     * @param array<string, int> $weeks  since it was last given
     * @param list<string>       $barred items it is not to have this time
     */
    public function __construct(public string $size, public int $group, public int $boxes, public float $cents, public int $kinds,
        public array $had = [], public array $weeks = [], public array $barred = [])
    {
    }

    public function key(): string
    {
        return $this->size.'/'.$this->group;
    }
}
