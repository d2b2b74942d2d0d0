<?php

declare(strict_types=1);

namespace App\Practice;

use App\Books\CareFile;
use App\Books\JobsFile;
use App\Change\PlantingChanges;
use App\Diary\DiaryKeeper;
use App\Log\ChangeLog;
use App\Rows\PracticeRecord;
use App\Sale\MarketKeeper;
use App\Shared\Visit;
use App\Station\SimulatedStation;
use App\Storage\StoreKeeper;
use App\Store\ClimateKeeper;
use App\Store\PlantingKeeper;
use App\Store\Snapshot;
use App\Wording\Sayer;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Practice\Crew;
use JollyFurrow\Recipe\RecipeBook;

/** Moves a practice garden on by days: each is worked by the crew, and its weather measured. A step is one change, undone whole. */
final readonly class PracticeStep
{
    public function __construct(private Snapshot $snapshot, private ChangeLog $log, private EntityManagerInterface $entities,
        private PlantingKeeper $plantings, private ClimateKeeper $readings, private SimulatedStation $station,
        private Connection $connection, private CropBook $book, private RecipeBook $recipes, private Sayer $sayer,
        private CareFile $care, private JobsFile $jobs, private DiaryKeeper $diary, private StoreKeeper $store,
        private MarketKeeper $market)
    {
    }

    /**
     * @param positive-int $days
     *
     * @return string what was done, in words; empty: it is no practice garden
     */
    public function on(Visit $visit, int $days): string
    {
        $words = '';
        $this->log->record($visit->gardenId, $visit->accountId, static function () use (&$words): string {
            return $words;
        }, function () use ($visit, $days, &$words): void {
            $record = $this->entities->getRepository(PracticeRecord::class)->findOneBy(['gardenId' => $visit->gardenId]);
            if (null === $record) {
                return;
            }
            $morning = $garden = $this->snapshot->of($visit->gardenId);
            $crew = new Crew($this->book, $this->recipes, $this->jobs->load(), $this->care->load());
            for ($day = 0; $day < $days; ++$day) {
                $garden = $this->day($crew, $visit->gardenId, $garden);
            }
            $record->comeTo($garden->today);
            $words = $this->keep($visit->gardenId, $morning, $garden);
        });

        return $words;
    }

    private function day(Crew $crew, string $gardenId, Garden $garden): Garden
    {
        $worked = $crew->day($garden)->garden;

        return $worked->on($garden->today->plus(1), $this->weatherOf($gardenId, $garden));
    }

    /** What is measured already is left. */
    private function weatherOf(string $gardenId, Garden $garden): DailyRecord
    {
        return isset($garden->climate->measured->min[$garden->today->number]) ? DailyRecord::fromRows([])
            : $this->station->days($gardenId, $garden->climate, $garden->today, $garden->today);
    }

    private function keep(string $gardenId, Garden $morning, Garden $garden): string
    {
        $this->plantings->replace($gardenId, $morning->plantings->all(), $garden->plantings->all(),
            PlantingChanges::beds($this->connection, $gardenId));
        $notes = \array_slice($garden->notes, \count($morning->notes));
        $this->plantings->note($gardenId, $notes);
        $marks = \array_slice($garden->diary->marks, \count($morning->diary->marks));
        $this->diary->mark($gardenId, $marks);
        $lots = $this->store->harvest($gardenId, \array_slice($garden->store->harvests, \count($morning->store->harvests)));
        $this->store->handle($gardenId, \array_slice($garden->store->handlings, \count($morning->store->handlings)), $lots);
        $this->readings->read($gardenId, $garden->climate->measured->since($morning->today->number), $this->station->name());
        foreach (\array_slice($garden->market->days, \count($morning->market->days)) as $day) {
            $this->market->keep($gardenId, $day);
        }
        $done = \count($notes) + \count($marks);

        return \sprintf('Practice: from %s to %s, %s', $this->sayer->shortDay($morning->today), $this->sayer->shortDay($garden->today),
            match ($done) {
                0 => 'nothing was due', 1 => '1 job done', default => $done.' jobs done',
            });
    }
}
