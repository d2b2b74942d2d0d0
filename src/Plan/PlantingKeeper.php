<?php

declare(strict_types=1);

namespace App\Plan;

use App\Plan\Entity\PieceRecord;
use App\Plan\Entity\PlantingRecord;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Plan\Planting;

/** Puts plantings and their pieces into the database, and takes them out. To be called inside a logged change. */
final readonly class PlantingKeeper
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @param list<Planting>        $plantings
     * @param array<string, string> $beds      bed name => id
     */
    public function keep(string $gardenId, array $plantings, array $beds): void
    {
        $ids = [];
        foreach ($plantings as $planting) {
            $record = new PlantingRecord($gardenId, $planting);
            $this->entities->persist($record);
            $ids[$planting->key] = $record->id;
        }
        foreach ($plantings as $planting) {
            foreach ($planting->pieces as $position => $piece) {
                $this->entities->persist(new PieceRecord($gardenId, $ids[$planting->key], $beds[$piece->bed], $position, $piece));
            }
        }
    }

    /** @param list<string> $keys */
    public function drop(string $gardenId, array $keys): void
    {
        $records = $this->entities->getRepository(PlantingRecord::class)->findBy(['gardenId' => $gardenId, 'key' => $keys]);
        $ids = array_map(static fn (PlantingRecord $r): string => $r->id, $records);
        foreach ($this->entities->getRepository(PieceRecord::class)->findBy(['gardenId' => $gardenId, 'plantingId' => $ids]) as $piece) {
            $this->entities->remove($piece);
        }
        array_map($this->entities->remove(...), $records);
    }
}
