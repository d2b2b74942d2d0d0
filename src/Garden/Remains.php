<?php

declare(strict_types=1);

namespace App\Garden;

use App\Diary\JobMarkRecord;
use App\Diary\OwnJobRecord;
use App\Soil\SoilTestRecord;
use App\Soil\ValveBedRecord;
use Doctrine\ORM\EntityManagerInterface;

/** What goes with a bed or block that is deleted: ticks, its place on a valve, its jobs, its soil tests. */
final readonly class Remains
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function ofBed(string $gardenId, string $bedId): void
    {
        $this->remove($gardenId, 'bedId', $bedId, [JobMarkRecord::class, ValveBedRecord::class]);
    }

    public function ofBlock(string $gardenId, string $blockId): void
    {
        foreach ($this->entities->getRepository(OwnJobRecord::class)->findBy(['gardenId' => $gardenId, 'blockId' => $blockId]) as $job) {
            $this->remove($gardenId, 'ownJobId', $job->id, [JobMarkRecord::class]);
            $this->entities->remove($job);
        }
        $this->remove($gardenId, 'blockId', $blockId, [JobMarkRecord::class, SoilTestRecord::class]);
    }

    /** @param list<class-string> $classes */
    private function remove(string $gardenId, string $field, string $id, array $classes): void
    {
        foreach ($classes as $class) {
            foreach ($this->entities->getRepository($class)->findBy(['gardenId' => $gardenId, $field => $id]) as $row) {
                $this->entities->remove($row);
            }
        }
    }
}
