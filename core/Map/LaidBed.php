<?php

declare(strict_types=1);

namespace JollyFurrow\Map;

use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;

/** A bed where it lies on the map. */
final readonly class LaidBed
{
    /** @param float $right metres its left side lies right of the block's first bed */
    public function __construct(public Bed $bed, private BlockLay $lay, private float $right)
    {
    }

    /** @return list<array{float, float}> metres east and north: head left, tail left, tail right, head right */
    public function corners(): array
    {
        return $this->part(0.0, $this->bed->length->metres(), 0.0, 1.0);
    }

    /**
     * What a planting stands on.
     *
     * @param float $below share of the width others have to the left of it
     *
     * @return list<array{float, float}>
     */
    public function piece(Stretch $piece, float $below): array
    {
        return $this->part($piece->from / 1e6, $piece->to / 1e6, $below, $below + $piece->widthShare);
    }

    /** @return array{float, float} the middle of its head */
    public function head(): array
    {
        return $this->lay->at(0.0, $this->right + $this->bed->width->metres() / 2);
    }

    /** @return list<array{float, float}> */
    private function part(float $from, float $to, float $left, float $right): array
    {
        $wide = $this->bed->width->metres();
        [$l, $r] = [$this->right + $left * $wide, $this->right + $right * $wide];

        return [$this->lay->at($from, $l), $this->lay->at($to, $l), $this->lay->at($to, $r), $this->lay->at($from, $r)];
    }
}
