<?php

declare(strict_types=1);

namespace App\Proposal;

use App\Change\PlantingMark;
use App\Codec\PlantingCodec;
use App\Codec\PlantingReader;
use App\Rows\GardenRow;
use App\Shared\Today;
use Doctrine\DBAL\Connection;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Proposal\ChangeKind;
use JollyFurrow\Proposal\Proposal;
use JollyFurrow\Proposal\ProposedChange;

/** The one open proposal of a garden: a drawn-up plan that nobody has taken or dropped yet. It changes nothing by being there. */
final readonly class Proposals
{
    public function __construct(private Connection $connection, private PlantingReader $reader, private Today $today)
    {
    }

    /** Takes the place of the one that was open. Nothing to change: none is open. */
    public function open(string $gardenId, string $accountId, string $scope, Plan $now, Plan $drawn, Proposal $proposal): void
    {
        $open = array_values(array_filter($proposal->changes, static fn (ProposedChange $c): bool => ChangeKind::Kept !== $c->kind()));
        $kept = [];
        foreach ($proposal->changes as $change) {
            if (ChangeKind::Kept === $change->kind()) {
                $kept[$change->planting()->key] = $change->why;
            }
        }
        $this->connection->transactional(function () use ($gardenId, $accountId, $scope, $now, $drawn, $open, $kept): void {
            $this->drop($gardenId);
            if ([] !== $open) {
                $this->connection->insert('proposal', ['id' => GardenRow::newId(), 'garden_id' => $gardenId,
                    'drawn_at' => $this->today->now()->getTimestamp(), 'drawn_by' => $accountId, 'scope' => $scope,
                    'changes' => self::json(['codec' => PlantingCodec::VERSION, 'now' => $now->keptShare(),
                        'then' => $drawn->keptShare(), 'kept' => $kept, 'open' => array_map(self::values(...), $open)])]);
            }
        });
    }

    public function find(string $gardenId, Garden $garden): ?OpenProposal
    {
        $row = $this->connection->fetchAssociative('SELECT p.*, a.name AS who FROM proposal p LEFT JOIN account a ON a.id = p.drawn_by WHERE p.garden_id = ?', [$gardenId]);
        if (false === $row) {
            return null;
        }
        $values = self::stored($row);
        $changes = array_values(array_filter(array_map(fn (array $one): ?ProposedChange => $this->change($one, $garden), $values['open'])));

        return new OpenProposal((int) (is_numeric($row['drawn_at']) ? $row['drawn_at'] : 0), \is_string($row['who']) ? $row['who'] : '',
            \is_string($row['scope']) ? $row['scope'] : '', $values['now'], $values['then'], $changes, $values['kept'],
            self::movedOn($changes, $garden));
    }

    /**
     * Only these changes are still open; none: the proposal is done with.
     *
     * @param list<string> $ids
     */
    public function leave(string $gardenId, array $ids): void
    {
        $row = $this->connection->fetchAssociative('SELECT * FROM proposal WHERE garden_id = ?', [$gardenId]);
        if (false === $row || [] === $ids) {
            $this->drop($gardenId);

            return;
        }
        $values = self::stored($row);
        $values['open'] = array_values(array_filter($values['open'], static fn (array $one): bool => \in_array($one['id'] ?? '', $ids,
            true)));
        $this->connection->update('proposal', ['changes' => self::json($values)], ['garden_id' => $gardenId]);
    }

    /** A bed is called otherwise: the open proposal speaks of it under its new name. */
    public function renameBed(string $gardenId, string $old, string $new): void
    {
        $row = $this->connection->fetchAssociative('SELECT * FROM proposal WHERE garden_id = ?', [$gardenId]);
        if (false === $row) {
            return;
        }
        $word = '/(?<![\p{L}\d])'.preg_quote($old, '/').'(?![\p{L}\d])/u';
        $rename = static function (array $values) use (&$rename, $old, $new, $word): array {
            foreach ($values as $name => $value) {
                $values[$name] = match (true) {
                    \is_array($value) => $rename($value),
                    'bed' === $name && $value === $old => $new,
                    'why' === $name && \is_string($value) => preg_replace($word, addcslashes($new, '\\$'), $value),
                    default => $value,
                };
            }

            return $values;
        };
        $values = self::stored($row);
        $values['open'] = array_map($rename, $values['open']);
        $values['kept'] = array_map(static fn (string $why): string => (string) preg_replace($word, addcslashes($new, '\\$'), $why),
            $values['kept']);
        $this->connection->update('proposal', ['changes' => self::json($values)], ['garden_id' => $gardenId]);
    }

    public function drop(string $gardenId): void
    {
        $this->connection->delete('proposal', ['garden_id' => $gardenId]);
    }

    /** @return array<string, mixed> */
    private static function values(ProposedChange $change): array
    {
        return ['id' => $change->id, 'why' => $change->why, 'old' => null === $change->old ? null : PlantingCodec::values($change->old),
            'new' => null === $change->new ? null : PlantingCodec::values($change->new)];
    }

    /** @param array<mixed> $values */
    private function change(array $values, Garden $garden): ?ProposedChange
    {
        $beds = $garden->bedsByName();
        [$old, $new] = array_map(fn (string $side): ?Planting => \is_array($values[$side] ?? null)
            ? $this->reader->written($values[$side], $beds) : null, ['old', 'new']);
        if ((null === $old) !== (null === ($values['old'] ?? null)) || (null === $new) !== (null === ($values['new'] ?? null))) {
            return null;
        }

        return new ProposedChange(\is_string($values['id'] ?? null) ? $values['id'] : '', $old, $new, \is_string($values['why'] ?? null)
            ? $values['why'] : '');
    }

    /**
     * @param list<ProposedChange> $changes
     *
     * @return array<string, true> ids of changes whose planting was changed since
     */
    private static function movedOn(array $changes, Garden $garden): array
    {
        $marks = [];
        foreach ($garden->plantings as $planting) {
            $marks[$planting->key] = PlantingMark::of($planting);
        }
        $moved = [];
        foreach ($changes as $change) {
            if (null !== $change->old && ($marks[$change->old->key] ?? '') !== PlantingMark::of($change->old)) {
                $moved[$change->id] = true;
            }
        }

        return $moved;
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array{now: float, then: float, kept: array<string, string>, open: list<array<mixed>>}
     */
    private static function stored(array $row): array
    {
        /** @var array{now: float, then: float, kept: array<string, string>, open: list<array<mixed>>} $values */
        $values = json_decode(\is_string($row['changes']) ? $row['changes'] : '', true, flags: \JSON_THROW_ON_ERROR);

        return $values;
    }

    /** @param array<string, mixed> $values */
    private static function json(array $values): string
    {
        return json_encode($values, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION | \JSON_UNESCAPED_UNICODE);
    }
}
