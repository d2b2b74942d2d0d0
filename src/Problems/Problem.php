<?php

declare(strict_types=1);

namespace App\Problems;

use JollyFurrow\Time\Day;

/** One thing that is wrong, since when, what it may cost, and what it is about. */
final readonly class Problem
{
    /**
     * @param string                    $about  key of a planting, an item, a place or a week: by its kind
     * @param float                     $cents  that may be lost
     * @param array<string, mixed>      $values for its words
     * @param string|null               $route  page where more can be done about it
     * @param array<string, string|int> $at     parameters of that page
     */
    public function __construct(public ProblemKind $kind, public string $about, public ?Day $day, public float $cents, public array $values,
        public ?string $route = null, public array $at = [])
    {
    }
}
