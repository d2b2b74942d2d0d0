<?php

declare(strict_types=1);

/**
 * A fixed piece of plain PHP arithmetic: all times of this project are told as multiples of it, so that they can be
 * compared between machines. About two seconds on the two-core machine it was tried on, without a just-in-time compiler.
 *
 * @return float seconds of CPU time
 */
function reference_loop(): float
{
    $start = cpu_seconds();
    $sum = 0;
    $values = range(1, 1000);
    for ($round = 0; $round < 38_000; ++$round) {
        for ($i = 1; $i < 1000; ++$i) {
            $values[$i] = ($values[$i - 1] * 31 + $values[$i] + $round) & 0xFFFFF;
            $sum += $values[$i] % 7;
        }
    }

    return cpu_seconds() - $start + 0 * $sum;
}

/** CPU time this process has used: what others do on a shared machine hardly tells on it. */
function cpu_seconds(): float
{
    /** @var array<string, int> $used */
    $used = (array) getrusage();

    return $used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec'] + ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']) / 1e6;
}

/** @param list<float> $values */
function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)];
}
