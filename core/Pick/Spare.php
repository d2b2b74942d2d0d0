<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Need\Need;
use JollyFurrow\Supply\Allocation;

/** What of an item nobody took, lot by lot, as it is taken. */
final class Spare
{
    /** @var array<int, float> units, by lot */
    private array $left;

    public function __construct(public readonly Allocation $allocation)
    {
        $this->left = $allocation->left;
    }

    /** Units that would do for a need. */
    public function units(Need $need): int
    {
        $units = 0;
        foreach ($this->allocation->lots as $l => $lot) {
            $units += !$lot->isGone && $lot->serves($need->day, $need->reach) ? (int) floor($this->left[$l] + 1e-9) : 0;
        }

        return $units;
    }

    /** @return array<int, int> units by lot, what is lost soonest first */
    public function take(Need $need, int $units): array
    {
        $taken = [];
        foreach ($this->allocation->lots as $l => $lot) {
            $some = !$lot->isGone && $lot->serves($need->day, $need->reach) ? min($units, (int) floor($this->left[$l] + 1e-9)) : 0;
            if ($some > 0) {
                $taken[$l] = $some;
                $this->left[$l] -= $some;
                $units -= $some;
            }
        }

        return $taken;
    }
}
