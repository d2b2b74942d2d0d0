<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** What plants are raised in before they are planted out. */
enum Container: string
{
    case Cells = 'cells';
    case Blocks = 'blocks';
    case Chain = 'chain';
    /** Rows in the open under shade: no trays, no bench. */
    case Seedbed = 'seedbed';

    /**
     * Litres of potting mix a tray of 30 x 60 cm: filled 4 cm deep it holds about four, whatever its cells; blocks are pressed
     * of half as much again (own model).
     */
    public function litresATray(): float
    {
        return match ($this) {
            self::Cells, self::Chain => 4.0,
            self::Blocks => 6.0,
            self::Seedbed => 0.0,
        };
    }
}
