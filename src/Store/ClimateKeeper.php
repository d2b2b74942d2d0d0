<?php

declare(strict_types=1);

namespace App\Store;

use App\Rows\ClimateRecord;
use App\Rows\ReadingRecord;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Time\Day;

/** Stores the climate of a garden and its readings. To be called inside a logged change. */
final readonly class ClimateKeeper
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function keep(string $gardenId, PlaceClimate $climate): void
    {
        $record = $this->find($gardenId);
        null === $record ? $this->entities->persist(new ClimateRecord($gardenId, $climate)) : $record->take($climate);
    }

    public function find(string $gardenId): ?ClimateRecord
    {
        return $this->entities->getRepository(ClimateRecord::class)->findOneBy(['gardenId' => $gardenId]);
    }

    /**
     * Takes days in; what was typed by hand is not written over by a station.
     *
     * @return int how many days are new or another
     */
    public function read(string $gardenId, DailyRecord $days, string $source): int
    {
        $there = [];
        foreach ($this->entities->getRepository(ReadingRecord::class)->findBy(['gardenId' => $gardenId]) as $reading) {
            $there[$reading->day->number] = $reading;
        }
        $count = 0;
        foreach ($days->rows() as [$day, $min, $max, $rain]) {
            $old = $there[$day] ?? null;
            if (null !== $old && $old->isTyped() && 'typed' !== $source) {
                continue;
            }
            null === $old ? $this->entities->persist(new ReadingRecord($gardenId, Day::of($day), $min, $max, $rain, $source))
                : $old->correct($min, $max, $rain, $source);
            ++$count;
        }

        return $count;
    }
}
