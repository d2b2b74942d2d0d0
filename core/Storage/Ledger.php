<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Time\Day;

/** What of each lot lies where on a day, and what is gone. Lifted is what lies there, was sold, given or lost, to the gram. */
final readonly class Ledger
{
    /**
     * @param array<string, array<string, int>> $there hundredths of a unit, by lot and place
     * @param array<string, array<string, int>> $gone  by lot and kind of handling
     */
    private function __construct(public array $there, public array $gone)
    {
    }

    /** What was lost in the harvest itself is no lot. What nobody put anywhere went to market with its harvest. */
    public static function on(StoreBook $book, Day $day): self
    {
        $there = $gone = [];
        foreach ($book->harvests as $lot) {
            if ($lot->grade->isKept() && !$day->isBefore($lot->day)) {
                $there[$lot->key] = '' === $lot->place ? [] : [$lot->place => $lot->hundredths];
                $gone[$lot->key] = '' === $lot->place ? [HandlingKind::Sold->value => $lot->hundredths] : [];
            }
        }
        foreach ($book->handlings as $handling) {
            if (HandlingKind::Returned === $handling->kind && isset($gone[$handling->lot]) && !$day->isBefore($handling->day)) {
                $taken = min($handling->hundredths, $gone[$handling->lot][HandlingKind::Sold->value] ?? 0);
                $gone[$handling->lot][HandlingKind::Sold->value] = ($gone[$handling->lot][HandlingKind::Sold->value] ?? 0) - $taken;
                $there[$handling->lot][$handling->to] = ($there[$handling->lot][$handling->to] ?? 0) + $taken;
                continue;
            }
            if ($day->isBefore($handling->day) || !isset($there[$handling->lot][$handling->from])
                || HandlingKind::Looked === $handling->kind) {
                continue;
            }
            $taken = min($handling->hundredths, $there[$handling->lot][$handling->from]);
            $there[$handling->lot][$handling->from] -= $taken;
            if (HandlingKind::Moved === $handling->kind) {
                $there[$handling->lot][$handling->to] = ($there[$handling->lot][$handling->to] ?? 0) + $taken;
            } else {
                $gone[$handling->lot][$handling->kind->value] = ($gone[$handling->lot][$handling->kind->value] ?? 0) + $taken;
            }
        }

        return new self(array_map(static fn (array $places): array => array_filter($places, static fn (int $n): bool => $n > 0), $there),
            $gone);
    }

    public function at(string $lot, string $place): int
    {
        return $this->there[$lot][$place] ?? 0;
    }

    public function left(string $lot): int
    {
        return array_sum($this->there[$lot] ?? []);
    }

    public function sold(string $lot): int
    {
        return $this->gone($lot, HandlingKind::Sold);
    }

    public function culled(string $lot): int
    {
        return $this->gone($lot, HandlingKind::Culled);
    }

    public function gone(string $lot, HandlingKind $kind): int
    {
        return $this->gone[$lot][$kind->value] ?? 0;
    }
}
