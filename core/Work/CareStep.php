<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/**
 * A piece of care for one planting, on its day, with its hours. Its step names it for good: rule and number, wherever its
 * day moves.
 */
final readonly class CareStep
{
    public function __construct(public Planting $planting, public string $name, public Day $day, public float $hours, public string $tool,
        public string $step, public ?CareRule $rule = null)
    {
    }
}
