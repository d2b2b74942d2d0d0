<?php

declare(strict_types=1);

namespace JollyFurrow\Forecast;

/** Units to be had: in nine years of ten at least, as a rule, and in one of ten. */
final readonly class Amounts
{
    public int $sure;
    public int $atBest;

    public function __construct(int $sure, public int $likely, int $atBest)
    {
        $this->sure = min($sure, $likely);
        $this->atBest = max($atBest, $likely);
    }

    public function isNothing(): bool
    {
        return 0 === $this->atBest;
    }
}
