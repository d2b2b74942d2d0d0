<?php

declare(strict_types=1);

/**
 * A fixed piece of plain PHP arithmetic: all times of this project are told as multiples of it, so that they can be
 * compared between machines. About one second on the two-core machine it was tried on, JIT on.
 *
 * @return float seconds
 */
function reference_loop(): float
{
    $start = hrtime(true);
    $sum = 0;
    $values = range(1, 1000);
    for ($round = 0; $round < 38_000; ++$round) {
        for ($i = 1; $i < 1000; ++$i) {
            $values[$i] = ($values[$i - 1] * 31 + $values[$i] + $round) & 0xFFFFF;
            $sum += $values[$i] % 7;
        }
    }

    return (hrtime(true) - $start) / 1e9 + 0 * $sum;
}

/** @param list<float> $values */
function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)];
}
