<?php

declare(strict_types=1);

namespace App\Store;

use App\Diary\JobMarkRecord;
use App\Rows\FieldNoteRecord;
use App\Rows\PieceRecord;
use App\Rows\PlantingRecord;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Planting;

/** Puts plantings and their pieces into the database in the place of others. To be called inside a logged change. */
final readonly class PlantingKeeper
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * Puts a new set of plantings in the place of an old one. What is the same in both is not touched; one of the same
     * key takes over the new dates and stretches.
     *
     * @param list<Planting>        $old
     * @param list<Planting>        $new
     * @param array<string, string> $beds bed name => id
     */
    public function replace(string $gardenId, array $old, array $new, array $beds): void
    {
        $old = self::byKey($old);
        $new = self::byKey($new);
        $same = array_filter($new, static fn (Planting $p): bool => isset($old[$p->key]) && $old[$p->key] == $p);
        $records = $this->records($gardenId, array_keys(array_diff_key($old, $same)));
        $this->removePieces($gardenId, $records);
        foreach ($records as $key => $record) {
            isset($new[$key]) ? $record->replan($new[$key]) : $this->remove($record);
        }
        foreach (array_diff_key($new, $same) as $key => $planting) {
            $record = $records[$key] ?? new PlantingRecord($gardenId, $planting);
            $this->entities->persist($record);
            foreach ($planting->pieces as $position => $piece) {
                $this->entities->persist(new PieceRecord($gardenId, $record->id, $beds[$piece->bed], $position, $piece));
            }
        }
    }

    private function remove(PlantingRecord $record): void
    {
        foreach ($this->entities->getRepository(FieldNoteRecord::class)->findBy(['gardenId' => $record->gardenId,
            'plantingId' => $record->id]) as $note) {
            $this->entities->remove($note);
        }
        foreach ($this->entities->getRepository(JobMarkRecord::class)->findBy(['gardenId' => $record->gardenId,
            'plantingId' => $record->id]) as $mark) {
            $this->entities->remove($mark);
        }
        $this->entities->remove($record);
    }

    /**
     * Notes of plantings that are there, or have just been put there.
     *
     * @param list<FieldNote> $notes
     */
    public function note(string $gardenId, array $notes): void
    {
        $ids = [];
        foreach ([...$this->records($gardenId, array_map(static fn (FieldNote $n): string => $n->planting, $notes)),
            ...$this->waiting($gardenId)] as $key => $record) {
            $ids[$key] = $record->id;
        }
        foreach ($notes as $note) {
            $this->entities->persist(new FieldNoteRecord($gardenId, $ids[$note->planting], $note));
        }
    }

    /** @return array<string, PlantingRecord> by key, not yet written */
    private function waiting(string $gardenId): array
    {
        $records = [];
        foreach ($this->entities->getUnitOfWork()->getScheduledEntityInsertions() as $entity) {
            if ($entity instanceof PlantingRecord && $entity->gardenId === $gardenId) {
                $records[$entity->key()] = $entity;
            }
        }

        return $records;
    }

    /**
     * @param list<Planting> $plantings
     *
     * @return array<string, Planting>
     */
    private static function byKey(array $plantings): array
    {
        return array_combine(array_map(static fn (Planting $p): string => $p->key, $plantings), $plantings);
    }

    /**
     * @param list<string> $keys
     *
     * @return array<string, PlantingRecord> by key
     */
    private function records(string $gardenId, array $keys): array
    {
        $records = [];
        foreach ($this->entities->getRepository(PlantingRecord::class)->findBy(['gardenId' => $gardenId, 'key' => $keys]) as $record) {
            $records[$record->key()] = $record;
        }

        return $records;
    }

    /** @param array<string, PlantingRecord> $records */
    private function removePieces(string $gardenId, array $records): void
    {
        $ids = array_values(array_map(static fn (PlantingRecord $r): string => $r->id, $records));
        foreach ($this->entities->getRepository(PieceRecord::class)->findBy(['gardenId' => $gardenId, 'plantingId' => $ids]) as $piece) {
            $this->entities->remove($piece);
        }
    }
}
