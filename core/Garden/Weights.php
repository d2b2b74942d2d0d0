<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

/**
 * What a bent rule weighs when beds are chosen, in cents for a whole bed's length bent; a stated default each, positive but
 * for walking (own model: what a careful grower would dig or carry to keep it).
 */
final readonly class Weights
{
    public const WHY = [
        'gap' => 'a family back before its years are up brings its diseases back',
        'cycle' => 'a crop out of its turn in the cycle of groups',
        'piece' => 'each further piece is one more place to walk to, label and cover',
        'temper' => 'a crop on ground that does not suit it: wet, late, weedy, shaded, a pan',
        'before' => 'roots after fresh manure or much nitrogen fork; a heavy feeder after nothing goes hungry',
        'together' => 'one family side by side is covered, watered and rotated as one',
        'block' => 'a family outside the block that is kept for it',
        'sliver' => 'days between two crops too short for anything else to grow in',
        'walk' => 'for each ten beds to walk from one of a family to the next; at 0 the first in walking order is taken where all else is equal',
        'corn' => 'corn in one long row sets few kernels: it wants a block of neighbouring beds',
    ];

    public const NAMES = [
        'gap' => 'Family gap', 'cycle' => 'Cycle of groups', 'piece' => 'Pieces', 'temper' => 'Temper of the bed',
            'before' => 'What stood before',
        'together' => 'Family together', 'block' => 'Block of the family', 'sliver' => 'Empty slivers', 'walk' => 'Walking',
            'corn' => 'Corn in blocks',
    ];

    public function __construct(
        public float $gap = 2000.0,
        public float $cycle = 800.0,
        public float $piece = 300.0,
        public float $temper = 1000.0,
        public float $before = 400.0,
        public float $together = 60.0,
        public float $block = 1200.0,
        public float $sliver = 40.0,
        public float $walk = 0.0,
        public float $corn = 600.0,
    ) {
    }

    /** @return array<string, float> */
    public function all(): array
    {
        return ['gap' => $this->gap, 'cycle' => $this->cycle, 'piece' => $this->piece, 'temper' => $this->temper,
            'before' => $this->before, 'together' => $this->together, 'block' => $this->block, 'sliver' => $this->sliver,
            'walk' => $this->walk, 'corn' => $this->corn];
    }

    /** @param array<string, float> $weights those not named as usual */
    public static function of(array $weights): self
    {
        $all = array_intersect_key($weights, self::WHY) + (new self())->all();

        return new self($all['gap'], $all['cycle'], $all['piece'], $all['temper'], $all['before'], $all['together'], $all['block'],
            $all['sliver'], $all['walk'], $all['corn']);
    }
}
