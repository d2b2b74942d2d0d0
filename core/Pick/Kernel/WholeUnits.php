<?php

declare(strict_types=1);

namespace JollyFurrow\Pick\Kernel;

use JollyFurrow\Pick\SpreadDays;
use JollyFurrow\Pick\SpreadWant;

/**
 * A spread in whole units: by largest remainder from a flow of hours, then what does not fit moves where it costs least, then
 * single moves while they save.
 */
final class WholeUnits
{
    private const EPSILON = 1e-7;
    private const SHORT = -1;
    private const PASSES = 40;
    /** Most units that make way for one. */
    private const WAYS = 6;
    private const TRIES = 1500;

    /** @var array<int, array<int, int>> by want and day */
    private array $units = [];
    /** @var array<int, int> by want */
    private array $short = [];
    /** @var array<int, list<int>> days each want can be picked on, and short */
    private array $choices = [];
    /** @var array<int, float> by day */
    private array $hours;
    /** @var array<string, array<int, int>> by source and day */
    private array $ripe = [];
    /** @var array<string, array<int, float>> crates by room and night */
    private array $rooms = [];
    private float $cost = 0.0;

    /**
     * @param list<SpreadWant>        $wants
     * @param list<array<int, float>> $flow  units by want and day
     */
    public function __construct(private readonly array $wants, private readonly SpreadDays $days, array $flow)
    {
        $this->hours = array_fill(0, $days->count(), 0.0);
        foreach ($wants as $w => $want) {
            $last = $want->last($days->count());
            $this->choices[$w] = $want->from > $last ? [self::SHORT] : [...range(max(0, $want->from), $last), self::SHORT];
            $this->units[$w] = [];
            $this->short[$w] = 0;
            foreach (self::byLargestRemainder($want->units, $flow[$w]) as $t => $units) {
                $this->put($w, $t, $units);
            }
        }
        $this->repair();
        $this->improve();
    }

    /** @return list<array<int, int>> by want and day, days without any left out */
    public function units(): array
    {
        return array_values(array_map(static function (array $days): array {
            ksort($days);

            return array_filter($days, static fn (int $units): bool => $units > 0);
        }, $this->units));
    }

    /** Cents. */
    public function cost(): float
    {
        return $this->cost;
    }

    /**
     * @param array<int, float> $flow
     *
     * @return array<int, int> with what is short under -1
     */
    private static function byLargestRemainder(int $units, array $flow): array
    {
        $flow[self::SHORT] = max(0.0, $units - array_sum($flow));
        $whole = array_map(static fn (float $u): int => (int) floor($u + 1e-6), $flow);
        $rests = [];
        foreach ($flow as $t => $u) {
            $rests[] = [$whole[$t] - $u, $t];
        }
        sort($rests);
        foreach (\array_slice($rests, 0, max(0, $units - array_sum($whole))) as [, $t]) {
            ++$whole[$t];
        }

        return $whole;
    }

    private function put(int $w, int $t, int $units): void
    {
        $want = $this->wants[$w];
        if (self::SHORT === $t) {
            $this->short[$w] += $units;
            $this->cost += $units * $want->shortPrice;

            return;
        }
        $this->units[$w][$t] = ($this->units[$w][$t] ?? 0) + $units;
        $hours = $this->hours[$t] + $units * $want->hours;
        $this->cost += $units * $want->aged($t) + $this->days->cost($t, $hours) - $this->days->cost($t, $this->hours[$t]);
        $this->hours[$t] = $hours;
        $this->ripe[$want->source][$t] = ($this->ripe[$want->source][$t] ?? 0) + $units;
        if (null !== $want->room && isset($this->days->rooms[$want->room])) {
            for ($night = $t; $night < $want->day; ++$night) {
                $this->rooms[$want->room][$night] = ($this->rooms[$want->room][$night] ?? 0.0) + $units / $want->crate;
            }
        }
    }

    /** Whether one unit more fits on that day; of nights from a given one on. */
    private function fits(int $w, int $t, int $but): bool
    {
        if (self::SHORT === $t) {
            return true;
        }
        $want = $this->wants[$w];
        if ($this->hours[$t] + $want->hours > $this->days->most($t) + self::EPSILON) {
            return false;
        }
        if (isset($this->days->ripe[$want->source]) && ($this->ripe[$want->source][$t] ?? 0) + 1
            > ($this->days->ripe[$want->source][$t] ?? 0)) {
            return false;
        }
        // Nights it lies there already are no new ones.
        $until = self::SHORT === $but ? $want->day : min($want->day, max($t, $but));
        for ($night = $t; null !== $want->room && isset($this->days->rooms[$want->room]) && $night < $until; ++$night) {
            if (($this->rooms[$want->room][$night] ?? 0.0) + 1 / $want->crate > ($this->days->rooms[$want->room][$night] ?? 0.0)
                + self::EPSILON) {
                return false;
            }
        }

        return true;
    }

    /** Cents more when one unit moves. */
    private function dearer(int $w, int $from, int $to): float
    {
        $want = $this->wants[$w];
        $cost = static fn (int $t): float => self::SHORT === $t ? $want->shortPrice : $want->aged($t);
        $more = $cost($to) - $cost($from);
        if (self::SHORT !== $to) {
            $more += $this->days->cost($to, $this->hours[$to] + $want->hours) - $this->days->cost($to, $this->hours[$to]);
        }
        if (self::SHORT !== $from) {
            $more += $this->days->cost($from, $this->hours[$from] - $want->hours) - $this->days->cost($from, $this->hours[$from]);
        }

        return $more;
    }

    /**
     * @param int $most moves
     *
     * @return list<array{int, int, int}>|null moves made: want, from, to; null: it cannot be put right by so many
     */
    private function repair(int $most = \PHP_INT_MAX): ?array
    {
        $moves = [];
        while (null !== ($much = $this->tooMuch())) {
            $best = $this->cheapest($much);
            if (null === $best || \count($moves) >= $most) {
                $this->takeBack($moves);

                return null;
            }
            [$cost, $w, $from, $to] = $best;
            // The cheapest stays so until it costs more, is used up or does not fit any more.
            do {
                $this->move($w, $from, $to);
                $moves[] = [$w, $from, $to];
            } while (\count($moves) < $most && $this->excess($much) > self::EPSILON && $this->has($w, $from)
                && $this->fits($w, $to, $from) && $this->dearer($w, $from, $to) <= $cost * $this->wants[$w]->hours + self::EPSILON);
        }

        return $moves;
    }

    /**
     * @param array{string, string, int} $much
     *
     * @return array{float, int, int, int}|null cents an hour, want, from, to
     */
    private function cheapest(array $much): ?array
    {
        $best = null;
        foreach ($this->inTheWay($much) as [$w, $from]) {
            foreach ($this->choices[$w] as $to) {
                if ($to !== $from && ('room' !== $much[0] || self::SHORT === $to || $to > $much[2]) && $this->fits($w, $to, $from)) {
                    $each = $this->dearer($w, $from, $to) / $this->wants[$w]->hours;
                    $best = null === $best || $each < $best[0] ? [$each, $w, $from, $to] : $best;
                }
            }
        }

        return $best;
    }

    private function move(int $w, int $from, int $to): void
    {
        $this->put($w, $from, -1);
        $this->put($w, $to, 1);
    }

    /** @param list<array{int, int, int}> $moves */
    private function takeBack(array $moves): void
    {
        foreach (array_reverse($moves) as [$w, $from, $to]) {
            $this->move($w, $to, $from);
        }
    }

    /** Moves that save and do not fit, with what has to make way for them. */
    public function exchange(): void
    {
        $tries = 0;
        for ($pass = 0, $isBetter = true; $isBetter && $pass < self::PASSES; ++$pass) {
            $isBetter = false;
            foreach (array_keys($this->wants) as $w) {
                foreach ($this->choices[$w] as $from) {
                    foreach ($this->choices[$w] as $to) {
                        while ($to !== $from && $this->has($w, $from) && $this->dearer($w, $from, $to) < -self::EPSILON
                            && ++$tries <= self::TRIES && $this->makesWay($w, $from, $to)) {
                            $isBetter = true;
                        }
                    }
                }
            }
        }
    }

    private function makesWay(int $w, int $from, int $to): bool
    {
        $before = $this->cost;
        $this->move($w, $from, $to);
        $moves = $this->repair(self::WAYS);
        if (null !== $moves && $this->cost < $before - self::EPSILON) {
            return true;
        }
        $this->takeBack([[$w, $from, $to], ...$moves ?? []]);

        return false;
    }

    private function has(int $w, int $t): bool
    {
        return (self::SHORT === $t ? $this->short[$w] : $this->units[$w][$t] ?? 0) > 0;
    }

    /** @return array{string, string, int}|null where there is too much: hours of a day, what is ripe, a room at night; null: nowhere */
    private function tooMuch(): ?array
    {
        foreach ($this->hours as $t => $hours) {
            if ($hours > $this->days->most($t) + self::EPSILON) {
                return ['hours', '', $t];
            }
        }
        foreach ($this->days->ripe as $source => $days) {
            foreach ($this->ripe[$source] ?? [] as $t => $units) {
                if ($units > ($days[$t] ?? 0)) {
                    return ['ripe', (string) $source, $t];
                }
            }
        }
        foreach ($this->rooms as $room => $nights) {
            foreach ($nights as $night => $crates) {
                if ($crates > ($this->days->rooms[$room][$night] ?? 0.0) + self::EPSILON) {
                    return ['room', $room, $night];
                }
            }
        }

        return null;
    }

    /** @param array{string, string, int} $much */
    private function excess(array $much): float
    {
        [$what, $key, $n] = $much;

        return match ($what) {
            'hours' => $this->hours[$n] - $this->days->most($n),
            'ripe' => (float) (($this->ripe[$key][$n] ?? 0) - ($this->days->ripe[$key][$n] ?? 0)),
            default => ($this->rooms[$key][$n] ?? 0.0) - ($this->days->rooms[$key][$n] ?? 0.0),
        };
    }

    /**
     * @param array{string, string, int} $much
     *
     * @return list<array{int, int}> want and day
     */
    private function inTheWay(array $much): array
    {
        [$what, $key, $n] = $much;
        $there = [];
        foreach ($this->wants as $w => $want) {
            if ('room' !== $what ? 'hours' === $what || $want->source === $key : $want->room === $key && $n < $want->day) {
                foreach ($this->units[$w] as $t => $units) {
                    $units > 0 && ('room' === $what ? $t <= $n : $t === $n) ? $there[] = [$w, $t] : null;
                }
            }
        }

        return $there;
    }

    private function improve(): void
    {
        for ($pass = 0, $isBetter = true; $isBetter && $pass < self::PASSES; ++$pass) {
            $isBetter = false;
            foreach (array_keys($this->wants) as $w) {
                foreach ($this->choices[$w] as $from) {
                    foreach ($this->choices[$w] as $to) {
                        while ($to !== $from && $this->has($w, $from) && $this->dearer($w, $from, $to) < -self::EPSILON
                            && $this->fits($w, $to, $from)) {
                            $this->move($w, $from, $to);
                            $isBetter = true;
                        }
                    }
                }
            }
        }
    }
}
