<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Treatment\Spray;
use JollyFurrow\Treatment\SprayBook;

/** Puts places, lots, what became of them, loggers' days and treatments into the database. To be called inside a logged change. */
final readonly class StoreKeeper
{
    public function __construct(private EntityManagerInterface $entities, private Connection $connection)
    {
    }

    /** Of a garden whose beds are about to be stored with it. */
    public function begin(string $gardenId, StoreBook $store, SprayBook $sprays): void
    {
        if ($store->isEmpty() && [] === $sprays->sprays) {
            return;
        }
        array_map(fn (StorePlace $place) => $this->place($gardenId, $place), $store->places);
        $this->entities->flush();
        $this->handle($gardenId, $store->handlings, $this->harvest($gardenId, $store->harvests));
        $this->readings($gardenId, $store->days);
        array_map(fn (Spray $spray) => $this->spray($gardenId, $spray), $sprays->sprays);
    }

    public function place(string $gardenId, StorePlace $place): void
    {
        $record = $this->entities->getRepository(StorePlaceRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $place->key]);
        null === $record ? $this->entities->persist(new StorePlaceRecord($gardenId, $place)) : $record->become($place);
    }

    /**
     * @param list<HarvestLot> $lots
     *
     * @return array<string, string> their ids by code
     */
    public function harvest(string $gardenId, array $lots): array
    {
        $beds = [] === $lots ? [] : $this->ids($gardenId, 'bed', 'name');
        $ids = [];
        foreach ($lots as $lot) {
            $this->entities->persist($record = new HarvestLotRecord($gardenId, $beds[$lot->bed] ?? null, $lot));
            $ids[$lot->key] = $record->id;
        }

        return $ids;
    }

    /**
     * @param list<Handling>        $handlings
     * @param array<string, string> $new       ids of lots that are not written yet, by code
     */
    public function handle(string $gardenId, array $handlings, array $new = []): void
    {
        $lots = [] === $handlings ? [] : $new + $this->ids($gardenId, 'harvest_lot', 'key_name');
        foreach ($handlings as $handling) {
            isset($lots[$handling->lot]) ? $this->entities->persist(new HandlingRecord($gardenId, $lots[$handling->lot], $handling)) : null;
        }
    }

    /** @param list<PlaceDay> $days a day read again takes the place of the one before */
    public function readings(string $gardenId, array $days): void
    {
        $places = [] === $days ? [] : $this->ids($gardenId, 'store_place', 'key_name');
        foreach ($days as $day) {
            $placeId = $places[$day->place] ?? null;
            $there = null === $placeId ? null : $this->entities->getRepository(PlaceDayRecord::class)->findOneBy(['gardenId' => $gardenId,
                'placeId' => $placeId, 'day' => $day->day]);
            if (null !== $there) {
                $there->become($day);
            } elseif (null !== $placeId) {
                $this->entities->persist(new PlaceDayRecord($gardenId, $placeId, $day));
            }
        }
    }

    public function spray(string $gardenId, Spray $spray): void
    {
        $beds = $this->ids($gardenId, 'bed', 'name');
        $this->entities->persist($record = new SprayRecord($gardenId, $spray));
        foreach ($spray->beds as $bed) {
            isset($beds[$bed]) ? $this->entities->persist(new SprayBedRecord($gardenId, $record->id, $beds[$bed])) : null;
        }
    }

    /** @return array<string, string> id by name */
    private function ids(string $gardenId, string $table, string $name): array
    {
        /** @var array<string, string> $ids */
        $ids = $this->connection->fetchAllKeyValue(\sprintf('SELECT %s, id FROM %s WHERE garden_id = ?', $name, $table), [$gardenId]);

        return $ids;
    }
}
