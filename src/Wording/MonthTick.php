<?php

declare(strict_types=1);

namespace App\Wording;

/** Where a month begins on a drawing. */
final readonly class MonthTick
{
    public function __construct(public float $at, public string $label, public int $year)
    {
    }
}
