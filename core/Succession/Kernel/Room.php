<?php

declare(strict_types=1);

namespace JollyFurrow\Succession\Kernel;

/** Bed metres that are left by place and day, and which of them each candidate would take. */
final readonly class Room
{
    /**
     * @param int                              $first day number of the first entry
     * @param array<string, array<int, float>> $left  metres by place, a day each
     * @param list<string>                     $place by candidate
     * @param list<int>                        $from  first day by candidate
     * @param list<int>                        $to    last day by candidate
     */
    public function __construct(public int $first, public array $left, public array $place, public array $from, public array $to)
    {
    }

    /** Metres free on all days of a candidate's stay. */
    public function most(int $candidate, ?int $to = null): float
    {
        $left = $this->left[$this->place[$candidate]] ?? [];
        $most = \INF;
        $last = ($to ?? $this->to[$candidate]) - $this->first;
        for ($day = max(0, $this->from[$candidate] - $this->first); $day <= $last; ++$day) {
            $free = $left[$day] ?? 0.0;
            $most = $free < $most ? $free : $most;
        }

        return \INF === $most ? 0.0 : $most;
    }
}
