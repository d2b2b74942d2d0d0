<?php

declare(strict_types=1);

namespace App\Lists;

use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Rows\BedRecord;
use App\Rows\BlockRecord;
use App\Rows\GardenRow;
use App\Rows\OutletRecord;
use App\Rows\PartRecord;
use App\Rows\ProductRecord;
use App\Rows\PromiseRecord;
use App\Shared\Visit;
use App\Storage\StoreKeeper;
use App\Store\ClimateKeeper;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Storage\HarvestLot;

/** Stores what a list changes as one change: read again under the write lock, all of it or nothing. */
final readonly class ListKeeper
{
    public function __construct(private ChangeLog $log, private Snapshot $snapshot, private EntityManagerInterface $entities,
        private ClimateKeeper $readings, private PlantingChanges $plantings, private Connection $connection, private StoreKeeper $store)
    {
    }

    /**
     * @param GardenList<covariant object> $list
     * @param list<list<string>>           $rows
     *
     * @throws Meanwhile when the garden no longer takes it
     */
    public function keep(Visit $visit, ListKind $kind, GardenList $list, array $rows): int
    {
        $words = static fn (int $n): string => \sprintf('%s from a list: %d row%s', ucfirst($kind->value), $n, 1 === $n ? '' : 's');
        if (ListKind::Plantings === $kind) {
            return $this->plantings($visit, $list, $rows, $words);
        }

        return $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $kind, $list, $rows): int {
            $garden = $this->snapshot->of($visit->gardenId, ListKind::Readings === $kind);
            $changes = $this->read($garden, $list, $rows);
            foreach ($changes as $i => $change) {
                match (true) {
                    $change->is instanceof Outlet => $this->outlet($visit->gardenId, \count($garden->outlets) + $i, $change->is),
                    $change->is instanceof Product => $this->product($visit->gardenId, \count($garden->products) + $i, $change->is),
                    $change->is instanceof Promise => $this->promise($visit->gardenId, $change->is),
                    $change->is instanceof HarvestLot => $this->store->harvest($visit->gardenId, [$change->is]),
                    $change->is instanceof DailyRecord => $this->readings->read($visit->gardenId, $change->is, 'typed'),
                    default => null,
                };
            }
            if (ListKind::Beds === $kind && [] !== $changes) {
                $this->beds($visit->gardenId, $garden, $changes);
            }

            return \count($changes);
        });
    }

    /**
     * @param GardenList<covariant object> $list
     * @param list<list<string>>           $rows
     *
     * @return list<ListChange>
     */
    private function read(Garden $garden, GardenList $list, array $rows): array
    {
        $reading = $list->read($garden, $rows);
        if ([] !== $reading->faults) {
            throw Meanwhile::notPossible($reading->faults[0]);
        }

        return $reading->changes;
    }

    /**
     * @param GardenList<covariant object> $list
     * @param list<list<string>>           $rows
     * @param callable(int): string        $words
     */
    private function plantings(Visit $visit, GardenList $list, array $rows, callable $words): int
    {
        $count = 0;
        $this->plantings->keep($visit->gardenId, $visit->accountId, [], function (Garden $now) use ($list, $rows, $words,
            &$count): Replacement {
            $new = array_values(array_filter(array_map(static fn (ListChange $c): ?object => $c->is, $this->read($now, $list, $rows)),
                static fn (?object $is): bool => $is instanceof Planting));
            $count = \count($new);
            $keys = array_fill_keys(array_column($new, 'key'), true);

            return new Replacement($now->plantings->where(static fn (Planting $p): bool => isset($keys[$p->key]))->all(), $new,
                $words($count));
        });

        return $count;
    }

    /** @param list<ListChange> $changes */
    private function beds(string $gardenId, Garden $garden, array $changes): void
    {
        $blocks = [];
        foreach ($this->entities->getRepository(BlockRecord::class)->findBy(['gardenId' => $gardenId]) as $block) {
            $blocks[$block->name()] = $block;
        }
        foreach ($changes as $change) {
            $bed = $change->is;
            if (!$bed instanceof Bed) {
                continue;
            }
            if (!isset($blocks[$bed->block])) {
                $blocks[$bed->block] = new BlockRecord($gardenId, $bed->block, \count($blocks));
                $this->entities->persist($blocks[$bed->block]);
            }
            $record = $this->row(BedRecord::class, $gardenId, ['name' => $bed->name]);
            if (null === $record) {
                $this->entities->persist(new BedRecord($gardenId, $blocks[$bed->block]->id, $bed));
                continue;
            }
            $record->measure($bed->length, $bed->width, $bed->path, $bed->place);
            if ($bed->block !== $garden->bedsByName()[$bed->name]->block) {
                $record->walkTo($blocks[$bed->block]->id, \count($garden->beds) + $bed->position);
            }
        }
        $this->connection->delete('proposal', ['garden_id' => $gardenId]);
    }

    private function outlet(string $gardenId, int $position, Outlet $outlet): void
    {
        $record = $this->row(OutletRecord::class, $gardenId, ['key' => $outlet->key]);
        null === $record ? $this->entities->persist(new OutletRecord($gardenId, $position, $outlet)) : $record->is($outlet);
    }

    private function product(string $gardenId, int $position, Product $product): void
    {
        $record = $this->row(ProductRecord::class, $gardenId, ['key' => $product->key]);
        if (null === $record) {
            $record = new ProductRecord($gardenId, $position, $product);
            $this->entities->persist($record);
        }
        $record->is($product);
        foreach ($this->entities->getRepository(PartRecord::class)->findBy(['gardenId' => $gardenId,
            'productId' => $record->id]) as $part) {
            $this->entities->remove($part);
        }
        foreach ($product->parts as $n => $part) {
            $this->entities->persist(new PartRecord($gardenId, $record->id, $n, $part));
        }
    }

    private function promise(string $gardenId, Promise $promise): void
    {
        $outlet = $this->row(OutletRecord::class, $gardenId, ['key' => $promise->outlet]);
        $product = $this->row(ProductRecord::class, $gardenId, ['key' => $promise->product]);
        if (null === $outlet || null === $product) {
            return;
        }
        $record = $this->row(PromiseRecord::class, $gardenId, ['outletId' => $outlet->id, 'productId' => $product->id,
            'day' => $promise->day]);
        match (true) {
            null === $record && 0.0 < $promise->quantity => $this->entities->persist(new PromiseRecord($gardenId, $outlet->id, $product->id,
                $promise->day, $promise->quantity)),
            null !== $record && 0.0 < $promise->quantity => $record->promise($promise->quantity),
            null !== $record => $this->entities->remove($record),
            default => null,
        };
    }

    /**
     * @template T of GardenRow
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $by
     *
     * @return T|null
     */
    private function row(string $class, string $gardenId, array $by): ?GardenRow
    {
        return $this->entities->getRepository($class)->findOneBy(['gardenId' => $gardenId, ...$by]);
    }
}
