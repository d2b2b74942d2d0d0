<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\Accounts;
use App\Account\DemoAccount;
use App\Diary\DiaryKeeper;
use App\File\GardenReader;
use App\Job\Sites;
use App\Log\ChangeLog;
use App\Plan\DrawUp;
use App\Rows\PlantingRecord;
use App\Rows\PracticeRecord;
use App\Sale\MarketKeeper;
use App\Shared\Today;
use App\Station\SimulatedStation;
use App\Storage\StoreKeeper;
use App\Store\ClimateKeeper;
use App\Store\GardenKeeper;
use App\Store\PlantingKeeper;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Practice;
use JollyFurrow\Need\Needs;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Practice\Basket;
use JollyFurrow\Practice\Slip;
use JollyFurrow\Practice\Stall;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Loads the demo garden: the garden file moved to the running season, its plan as it was drawn up when the season
 * began, and the work done up to today, but for one bed that is overdue.
 */
final readonly class Demo
{
    /** Days after the season's first that the demo opens: Tuesday 21 July. */
    private const DAYS_IN = 141;
    private const SEED = 47;
    /** Days of ticks before it opens. */
    private const TICKED = 42;

    public function __construct(
        #[Autowire('%kernel.project_dir%/demo/garden.json')]
        private string $file,
        private GardenReader $reader,
        private GardenKeeper $keeper,
        private Planner $planner,
        private DrawUp $drawUp,
        private Accounts $accounts,
        private EntityManagerInterface $entities,
        private ChangeLog $log,
        private Today $today,
        private SeasonShift $shift,
        private ClimateKeeper $readings,
        private SimulatedStation $station,
        private PlantingKeeper $plantings,
        private Sites $sites,
        private DiaryKeeper $diary,
        private StoreKeeper $store,
        private MarketKeeper $market,
    ) {
    }

    public function isLoaded(): bool
    {
        return null !== $this->accounts->find(DemoAccount::EMAIL);
    }

    public function load(): void
    {
        $account = $this->accounts->open(DemoAccount::EMAIL, DemoAccount::NAME, DemoAccount::PASSWORD);
        $garden = $this->shift->toSeasonOf($this->reader->read((string) file_get_contents($this->file)), $this->today->day());
        $opens = $this->opens($garden);
        $id = $this->keeper->begin($garden, $account->id, 'Demo garden brought in from its file');
        $plan = $this->planner->draw($garden);
        $this->drawUp->keep($id, $account->id, $garden, $plan);
        $this->log->record($id, $account->id, 'Readings of the simulated station up to yesterday', fn (): int => $this->readings->read($id,
            $this->station->days($id, $garden->climate, $garden->today, $opens->plus(-1)), $this->station->name()));
        $this->log->record($id, $account->id, 'Work recorded up to today', fn () => $this->workUpTo($opens,
            $id, $garden->with($plan->plantings())));
        $this->log->record($id, $account->id, 'Jobs ticked up to today', fn () => $this->tick($opens, $id));
        $this->log->record($id, $account->id, 'Harvests up to today', function () use ($opens, $id, $garden): void {
            $this->store->harvest($id, $this->harvests($opens, $id));
            $this->store->handle($id, self::soldDown($opens, $garden));
        });
        $this->log->record($id, $account->id, 'Market days up to today', fn () => $this->sold($opens, $id, $garden->today));
        $this->log->record($id, $account->id, 'Practice begins', fn () => $this->entities->persist(new PracticeRecord($id,
            Practice::seeded(self::SEED), $opens, $this->log->nextNumber($id))));
    }

    /** How the market days of the season went, out of what was picked for them. */
    private function sold(Day $opens, string $gardenId, Day $from): void
    {
        $garden = $this->sites->on($gardenId, $opens)->garden;
        for ($day = $from; $day->isBefore($opens); $day = $day->plus(1)) {
            $days = Stall::of($garden->with($garden->plantings, $day), self::SEED);
            $garden = $garden->selling($garden->market->after($days));
            array_map(fn (MarketDay $one) => $this->market->keep($gardenId, $one), $days);
        }
    }

    /** What was due in the last weeks is ticked, most of it; as a small crew ticks. */
    private function tick(Day $today, string $gardenId): void
    {
        $site = $this->sites->on($gardenId, $today);
        $marks = [];
        foreach (TaskList::usual()->of($site, Period::between($today->plus(-self::TICKED), $today)) as $task) {
            $late = Slip::of(self::SEED, $task->id->text(), $task->kind->happening() ?? Happening::Seen)->days;
            if (null === $task->doneOn && null !== $late && $task->due->plus($late)->isBefore($today)) {
                $marks[] = new Mark($task->id, MarkKind::Done, $task->due->plus($late));
            }
        }
        $this->diary->mark($gardenId, $marks);
    }

    /** @return list<HarvestLot> as the crew brought them in; nothing lies in store of it but what was lifted */
    private function harvests(Day $today, string $gardenId): array
    {
        $site = $this->sites->on($gardenId, $today);

        return $site->garden->store->coded(Basket::of($site, Needs::of($site->garden, $site->crops),
            Period::between($today->plus(-self::DAYS_IN), $today), self::SEED));
    }

    /**
     * Of what was left in spring, week by week to the last tenth.
     *
     * @return list<Handling>
     */
    private static function soldDown(Day $today, Garden $garden): array
    {
        $sold = [];
        foreach ($garden->store->harvests as $lot) {
            $weeks = intdiv($today->since($garden->today), 7);
            for ($week = 1; $week < $weeks; ++$week) {
                $sold[] = new Handling(\sprintf('%s/%d', $lot->key, $week), $lot->key, $garden->today->plus(7 * $week - 2),
                    HandlingKind::Sold, 100 * intdiv((int) round(0.9 * $lot->hundredths / $weeks), 100), $lot->place,
                    $garden->outlets[0]->key);
            }
        }

        return $sold;
    }

    /** Where the practice begins: on a day of high summer, whatever the calendar says, or on the pinned day. */
    private function opens(Garden $garden): Day
    {
        return $this->today->pinned() ?? $garden->today->plus(self::DAYS_IN);
    }

    private function workUpTo(Day $today, string $gardenId, Garden $garden): void
    {
        $overdue = $this->overdue($today, $garden);
        foreach ($garden->plantings as $planting) {
            $standing = $this->standingOn($today, $planting);
            if ($planting->key !== $overdue && $standing !== $planting->standing) {
                $this->entities->getRepository(PlantingRecord::class)->findOneBy(['gardenId' => $gardenId,
                    'key' => $planting->key])?->comeTo($standing);
            }
        }
        $this->plantings->note($gardenId, array_map(static fn (Planting $p): FieldNote => new FieldNote($p->key, Happening::Begun,
            $p->bedStart, null, null, null, '', null), $this->bedsBegun($today, $garden)));
    }

    /**
     * Beds being made ready today, but for the one that is next of all to be planted after tomorrow: nobody came to it.
     *
     * @return list<Planting>
     */
    private function bedsBegun(Day $today, Garden $garden): array
    {
        $open = $garden->plantings->where(static fn (Planting $p): bool => $p->bedStart->isBefore($today)
            && !$p->ground->isBefore($today))->all();
        usort($open, static fn (Planting $a, Planting $b): int => [$b->ground->isBefore($today->plus(2)) ? 0 : 1, $a->ground->number,
            $a->key] <=> [$a->ground->isBefore($today->plus(2)) ? 0 : 1, $b->ground->number, $b->key]);

        return \array_slice($open, 1);
    }

    private function standingOn(Day $today, Planting $planting): Standing
    {
        return match (true) {
            $planting->clear->isBefore($today) => Standing::Cleared,
            $planting->ground->isBefore($today) => Standing::Growing,
            $planting->sow->isBefore($today) => Standing::InNursery,
            default => Standing::Planned,
        };
    }

    /** The sowing that should have gone into its bed last and has not. */
    private function overdue(Day $today, Garden $garden): ?string
    {
        $due = array_filter($garden->plantings->all(), fn (Planting $p): bool => Standing::Planned === $p->standing
            && Standing::Growing === $this->standingOn($today, $p) && $p->sow->equals($p->ground));
        usort($due, static fn (Planting $a, Planting $b): int => [$b->ground->number, $a->key] <=> [$a->ground->number, $b->key]);

        return [] === $due ? null : $due[0]->key;
    }
}
