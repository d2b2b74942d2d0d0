<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Land\Stretch;

/** Where a planting would stand, what the bent rules weigh there, and what the next best place would have weighed. */
final readonly class BedOffer
{
    /**
     * @param list<Stretch>                                                      $pieces   none: no bed
     * @param string                                                             $recipe   how the beds are made ready
     * @param int                                                                $start    day number the beds are taken from
     * @param float                                                              $weight   cents
     * @param array<string, float>                                               $bent     cents by rule
     * @param list<string>                                                       $remarks  what bent, in words
     * @param array{bed: string, weight: float, bent: array<string, float>}|null $runnerUp
     */
    public function __construct(public array $pieces, public string $recipe, public int $start, public float $weight, public array $bent, public array $remarks, public ?array $runnerUp)
    {
    }

    public function millimetres(): int
    {
        return array_sum(array_map(static fn (Stretch $piece): int => $piece->to - $piece->from, $this->pieces));
    }
}
