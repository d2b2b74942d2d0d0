<?php

declare(strict_types=1);

namespace JollyFurrow\Proposal;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Scope;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/**
 * A drawn-up plan held against the plantings there are: which stay, which are new, moved or dropped, and why. A planting
 * that goes and one of the same item that comes within a few weeks of it are one that moves.
 */
final readonly class Proposal
{
    /** Sowings further apart are another planting. */
    private const MOVES_AT_MOST = 28;

    /** @param list<ProposedChange> $changes by kind, then by the day of sowing */
    private function __construct(public array $changes)
    {
    }

    public static function between(Garden $garden, Plan $now, Plan $drawn, CropBook $book, ?Scope $scope = null): self
    {
        $reasons = new ProposalReasons($garden, $now, $drawn, $book, $scope ?? Scope::whole());
        $changes = [];
        foreach (self::pairs($garden->plantings->all(), $drawn->plantings()) as $i => [$old, $new, $drawnKey]) {
            $change = new ProposedChange('p'.$i, $old, $new, '');
            $changes[] = new ProposedChange('p'.$i, $old, $new, $reasons->of($change, $drawnKey));
        }
        $order = array_flip(array_map(static fn (ChangeKind $kind): string => $kind->value, ChangeKind::cases()));
        usort($changes, static fn (ProposedChange $a, ProposedChange $b): int => [$order[$a->kind()->value],
            $a->planting()->sow->number, $a->planting()->key] <=> [$order[$b->kind()->value], $b->planting()->sow->number,
            $b->planting()->key]);

        return new self($changes);
    }

    /**
     * Some of the changes and those that must go with them, because a new planting stands where an old one is.
     *
     * @param list<ProposedChange> $changes
     * @param list<string>         $chosen  ids
     *
     * @return list<string> ids, the chosen ones first
     */
    public static function withCompanions(array $changes, array $chosen): array
    {
        $byId = array_combine(array_map(static fn (ProposedChange $c): string => $c->id, $changes), $changes);
        $taken = array_values(array_unique(array_filter($chosen, static fn (string $id): bool => isset($byId[$id]))));
        for ($i = 0; $i < \count($taken); ++$i) {
            foreach ($changes as $other) {
                if (ChangeKind::Kept !== $other->kind() && !\in_array($other->id, $taken, true) && $byId[$taken[$i]]->needs($other)) {
                    $taken[] = $other->id;
                }
            }
        }

        return $taken;
    }

    /**
     * @param list<Planting> $old
     * @param list<Planting> $new
     *
     * @return list<array{Planting|null, Planting|null, string}> old, new under the old one's name, name it was drawn under
     */
    private static function pairs(array $old, array $new): array
    {
        $before = array_combine(array_map(static fn (Planting $p): string => $p->key, $old), $old);
        $pairs = $left = [];
        foreach ($new as $planting) {
            $was = $before[$planting->key] ?? null;
            unset($before[$planting->key]);
            null === $was ? $left[] = $planting : $pairs[] = [$was, $planting, $planting->key];
        }
        foreach ($left as $planting) {
            $was = self::nearest($before, $planting);
            unset($before[$was->key ?? '']);
            $pairs[] = [$was, null === $was ? $planting : $planting->but(key: $was->key), $planting->key];
        }

        return [...$pairs, ...array_map(static fn (Planting $p): array => [$p, null, $p->key], array_values($before))];
    }

    /** @param array<string, Planting> $gone */
    private static function nearest(array $gone, Planting $planting): ?Planting
    {
        $best = null;
        foreach ($gone as $old) {
            $apart = self::apart($old->sow, $planting->sow);
            if ($old->item === $planting->item && $old->place === $planting->place && $old->method === $planting->method
                && $apart <= self::MOVES_AT_MOST && (null === $best || $apart < self::apart($best->sow, $planting->sow))) {
                $best = $old;
            }
        }

        return $best;
    }

    private static function apart(Day $one, Day $other): int
    {
        return abs($one->since($other));
    }
}
