<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Bed;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Stretch;
use JollyFurrow\Time\Period;

/**
 * Finds beds in walking order. Never two crops on one stretch, never the wrong place type; the family gap is kept
 * where it can be and each breach is told. In this order: whole in one bed with the gap kept; in pieces with the gap
 * kept; whole; in pieces; what is left finds no bed.
 */
final class FirstFitBeds
{
    /** @var array<string, list<array{int, int, int, int}>> by bed: from, to, first and last day */
    private array $taken = [];
    /** @var array<string, list<Bed>> by place type */
    private array $beds = [];
    private readonly FamilyGap $gap;

    public function __construct(private readonly Garden $garden, private readonly CropBook $book, private readonly Grid $grid)
    {
        foreach ($garden->beds as $bed) {
            $this->beds[$bed->place->value][] = $bed;
            $this->taken[$bed->name] = [];
        }
        $this->gap = new FamilyGap($garden, $book);
    }

    public function take(Planting $planting): void
    {
        foreach ($planting->pieces as $piece) {
            $this->taken[$piece->bed][] = [$piece->from, $piece->to, $planting->bedStart->number, $planting->clear->number];
            $this->gap->stood($piece, $planting->item, $planting->occupancy());
        }
    }

    /** @return list<Stretch> as much of the length as finds a bed */
    public function find(Candidate $candidate, int $millimetres, Period $stay): array
    {
        $family = $this->book->get($candidate->item)->family;
        $beds = array_values(array_filter($this->beds[$candidate->place->value] ?? [], static fn (Bed $bed): bool => null === $bed->quarantineOf($family, $stay->start)));
        if ([] === $beds) {
            return [];
        }
        foreach ([true, false] as $keepGap) {
            $gaps = [];
            foreach ($this->freeStretches($beds, $stay, $keepGap ? $candidate : null) as $free) {
                if ($free->to - $free->from >= $millimetres) {
                    return [Stretch::of($free->bed, $free->from, $free->from + $millimetres)];
                }
                $gaps[] = $free;
            }
            $pieces = $this->pieces($gaps, $millimetres, $this->grid->quarter($candidate->place));
            if (array_sum(array_map(static fn (Stretch $p): int => $p->to - $p->from, $pieces)) >= $millimetres || !$keepGap) {
                return $pieces;
            }
        }

        return [];
    }

    /**
     * @param list<Stretch> $pieces
     *
     * @return list<string> the breaches of the family gap, in words
     */
    public function breaches(Candidate $candidate, array $pieces, Period $stay): array
    {
        $words = [];
        foreach ($pieces as $piece) {
            $breach = $this->gap->breach($piece, $candidate->item, $candidate->place, $stay);
            if (null !== $breach) {
                $words[] = $breach;
            }
        }

        return $words;
    }

    /**
     * Largest free stretches first; none shorter than a quarter bed but the last remainder.
     *
     * @param list<Stretch> $gaps
     *
     * @return list<Stretch>
     */
    private function pieces(array $gaps, int $millimetres, int $least): array
    {
        usort($gaps, static fn (Stretch $a, Stretch $b): int => $b->to - $b->from <=> $a->to - $a->from);
        $pieces = [];
        foreach ($gaps as $free) {
            $take = min($millimetres, $free->to - $free->from);
            if ($take <= 0 || ($take < $least && $take < $millimetres)) {
                break;
            }
            $pieces[] = Stretch::of($free->bed, $free->from, $free->from + $take);
            $millimetres -= $take;
        }

        return $pieces;
    }

    /**
     * @param list<Bed> $beds
     *
     * @return \Generator<int, Stretch> in walking order
     */
    private function freeStretches(array $beds, Period $stay, ?Candidate $keepingGapFor): \Generator
    {
        $start = $stay->start->number;
        $last = $stay->last()->number;
        foreach ($beds as $bed) {
            $length = $bed->length->millimetres;
            $blocked = null === $keepingGapFor ? [] : $this->gap->closed($bed->name, $keepingGapFor->item, $keepingGapFor->place, $start, $last);
            foreach ($this->taken[$bed->name] as [$from, $to, $first, $until]) {
                if ($first <= $last && $start <= $until) {
                    $blocked[] = [$from, $to];
                }
            }
            sort($blocked);
            $blocked[] = [$length, $length];
            $at = 0;
            foreach ($blocked as [$from, $to]) {
                if ($from > $at) {
                    yield Stretch::of($bed->name, $at, min($from, $length));
                }
                $at = max($at, $to);
            }
        }
    }
}
