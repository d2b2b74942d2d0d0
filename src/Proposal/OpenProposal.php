<?php

declare(strict_types=1);

namespace App\Proposal;

use App\Change\PlantingMark;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Proposal\ChangeKind;
use JollyFurrow\Proposal\ProposedChange;

/** A stored proposal as it is shown and taken. */
final readonly class OpenProposal
{
    /**
     * @param int                   $drawnAt seconds
     * @param float                 $now     share of the promised units covered without it
     * @param float                 $then    the same with all of it
     * @param list<ProposedChange>  $changes still to be taken or left
     * @param array<string, string> $kept    why, by key of the planting that stays
     * @param array<string, true>   $movedOn ids of changes whose planting was changed since
     */
    public function __construct(public int $drawnAt, public string $drawnBy, public string $scope, public float $now,
        public float $then, public array $changes, public array $kept, public array $movedOn)
    {
    }

    /** @return list<ProposedChange> */
    public function ofKind(string $kind): array
    {
        return array_values(array_filter($this->changes, static fn (ProposedChange $c): bool => $c->kind() === ChangeKind::from($kind)));
    }

    /** @return list<string> ids that can be taken */
    public function takeable(): array
    {
        return array_values(array_filter(array_map(static fn (ProposedChange $c): string => $c->id, $this->changes),
            fn (string $id): bool => !isset($this->movedOn[$id])));
    }

    /**
     * @param list<string> $ids
     *
     * @return list<ProposedChange>
     */
    public function some(array $ids): array
    {
        return array_values(array_filter($this->changes, static fn (ProposedChange $c): bool => \in_array($c->id, $ids, true)));
    }

    /**
     * @param list<ProposedChange> $changes
     *
     * @return array<string, string> marks of the plantings they begin from, by key
     */
    public static function seen(array $changes): array
    {
        $seen = [];
        foreach ($changes as $change) {
            if (null !== $change->old) {
                $seen[$change->old->key] = PlantingMark::of($change->old);
            }
        }

        return $seen;
    }

    /**
     * @param list<ProposedChange> $changes
     *
     * @return array{list<Planting>, list<Planting>} what goes, what comes
     */
    public static function plantings(array $changes): array
    {
        return [array_values(array_filter(array_map(static fn (ProposedChange $c): ?Planting => $c->old, $changes))),
            array_values(array_filter(array_map(static fn (ProposedChange $c): ?Planting => $c->new, $changes)))];
    }

    /** @param list<ProposedChange> $changes */
    public static function words(array $changes): string
    {
        $counts = array_count_values(array_map(static fn (ProposedChange $c): string => $c->kind()->value, $changes));

        return implode(', ', array_map(static fn (string $kind, int $n): string => $n.' '.$kind, array_keys($counts), $counts));
    }
}
