<?php

declare(strict_types=1);

namespace App\Diary;

use App\Rows\PlantingRecord;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Diary\About;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\OwnCare;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Planting\Planting;

/** Puts ticks, hands, own jobs and own care into the database. To be called inside a logged change. */
final readonly class DiaryKeeper
{
    public function __construct(private EntityManagerInterface $entities, private Connection $connection)
    {
    }

    /** Of a garden whose beds and plantings are about to be stored with it. */
    public function begin(string $gardenId, Diary $diary): void
    {
        if ($diary->isEmpty()) {
            return;
        }
        $this->entities->flush();
        $blocks = $this->ids($gardenId, About::Block);
        foreach ($diary->workers as $position => $worker) {
            $this->entities->persist(new WorkerRecord($gardenId, $position, $worker));
        }
        foreach ($diary->ownJobs as $job) {
            $this->entities->persist(new OwnJobRecord($gardenId, $blocks[$job->block] ?? null, $job));
        }
        array_map(fn (OwnCare $care) => $this->entities->persist(new OwnCareRecord($gardenId, $care)), $diary->ownCare);
        array_map(fn (SeedLot $lot) => $this->entities->persist(new SeedLotRecord($gardenId, $lot)), $diary->seedLots);
        $this->entities->flush();
        $this->mark($gardenId, $diary->marks);
    }

    /**
     * What it is of must be stored already.
     *
     * @param list<Mark> $marks
     */
    public function mark(string $gardenId, array $marks): void
    {
        $ids = [];
        foreach ($marks as $mark) {
            $about = $mark->task->about;
            $ids[$about->value] ??= $this->ids($gardenId, $about);
            $id = $ids[$about->value][$mark->task->of] ?? null;
            if (null !== $id || About::Garden === $about) {
                $this->entities->persist(new JobMarkRecord($gardenId, $id, $mark));
            }
        }
    }

    /**
     * A part split off a planting keeps what was ticked of the whole.
     *
     * @param list<Planting> $old
     * @param list<Planting> $new
     */
    public function carry(string $gardenId, array $old, array $new): void
    {
        $before = [];
        foreach ($old as $planting) {
            $before[$planting->key] = $planting;
        }
        foreach ($new as $planting) {
            $whole = isset($before[$planting->key]) ? null : self::whole($planting, $old);
            $from = null === $whole ? null : $this->record($gardenId, $whole->key);
            $to = null === $from ? null : $this->waiting($gardenId, $planting->key);
            foreach (null === $from ? [] : $this->marksOf($gardenId, $from->id) as $mark) {
                null === $to ?: $this->entities->persist($mark->ofPart($to->id, TaskId::ofPlanting($planting->key, $mark->step())));
            }
        }
    }

    /** @param list<Planting> $old */
    private static function whole(Planting $part, array $old): ?Planting
    {
        foreach ($old as $planting) {
            if ($planting->item === $part->item && $planting->variety === $part->variety && $planting->sow->equals($part->sow)) {
                return $planting;
            }
        }

        return null;
    }

    /** @return list<JobMarkRecord> */
    public function marksOf(string $gardenId, string $plantingId): array
    {
        return $this->entities->getRepository(JobMarkRecord::class)->findBy(['gardenId' => $gardenId, 'plantingId' => $plantingId],
            ['id' => 'ASC']);
    }

    private function record(string $gardenId, string $key): ?PlantingRecord
    {
        return $this->entities->getRepository(PlantingRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $key]);
    }

    private function waiting(string $gardenId, string $key): ?PlantingRecord
    {
        foreach ($this->entities->getUnitOfWork()->getScheduledEntityInsertions() as $entity) {
            if ($entity instanceof PlantingRecord && $entity->gardenId === $gardenId && $entity->key() === $key) {
                return $entity;
            }
        }

        return null;
    }

    /** @return array<string, string> id by key or name */
    private function ids(string $gardenId, About $about): array
    {
        $from = match ($about) {
            About::Planting => 'SELECT key_name, id FROM planting',
            About::Bed => 'SELECT name, id FROM bed',
            About::Block => 'SELECT name, id FROM block',
            About::OwnJob => 'SELECT key_name, id FROM own_job',
            About::Garden => null,
        };
        /** @var array<string, string> $ids */
        $ids = null === $from ? [] : $this->connection->fetchAllKeyValue($from.' WHERE garden_id = ?', [$gardenId]);
        foreach (About::Planting === $about ? $this->entities->getUnitOfWork()->getScheduledEntityInsertions() : [] as $entity) {
            if ($entity instanceof PlantingRecord && $entity->gardenId === $gardenId) {
                $ids[$entity->key()] = $entity->id;
            }
        }

        return $ids;
    }
}
