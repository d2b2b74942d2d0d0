<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Task;

use JollyFurrow\Crop\Method;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\Placing;
use JollyFurrow\Job\TaskState;
use JollyFurrow\Job\WorkDay;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Tests\Support\Work;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\CareStep;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Properties of the list of tasks, over gardens made by chance, part of the season gone. */
final class TaskListTest extends TestCase
{
    /** @return iterable<string, array{Garden}> */
    public static function gardens(): iterable
    {
        foreach ([3, 8, 14, 21] as $seed) {
            $garden = RandomGarden::somewhere($seed);
            $planned = $garden->with((new Planner(Book::crops(), Book::recipes()))->draw($garden)->plantings());
            $today = $garden->today->plus(45);
            yield 'seed '.$seed => [$planned->with(array_map(static fn (Planting $p): Planting => $p->but(standing: match (true) {
                $p->clear->isBefore($today) => Standing::Cleared,
                $p->ground->isBefore($today) => Standing::Growing,
                $p->sow->isBefore($today) => Standing::InNursery,
                default => Standing::Planned,
            }), $planned->plantings->all()), $today)];
        }
    }

    #[DataProvider('gardens')]
    public function testEveryDatedStepIsOneTask(Garden $garden): void
    {
        $site = Work::site($garden);
        $of = [];
        foreach ($this->all($site) as $task) {
            $of[$task->planting->key ?? ''][] = $task;
        }
        $leads = new Leads($garden);
        self::assertNotSame([], $garden->plantings->all());
        foreach ($garden->plantings as $planting) {
            $steps = array_map(static fn (Task $t): string => $t->id->step, $of[$planting->key]);
            $care = array_map(static fn (CareStep $s): string => $s->step, $site->care->of($planting));
            $made = [];
            foreach (array_keys($leads->dated(Book::recipes()->get($planting->recipe), $planting)) as $n) {
                $made[] = 'prepare/'.($n + 1);
            }
            self::assertSame($steps, array_unique($steps), $planting->key.': each once');
            self::assertSame([], array_diff([...$made, ...$care, 'ground', ...Method::Transplanted === $planting->method ? ['sow', 'harden']
                : ['look-up']], $steps), $planting->key);
            self::assertSame(array_sum(array_map(static fn (CareStep $s): int => 1, $site->care->of($planting))),
                \count(array_filter($of[$planting->key],
                    static fn (Task $t): bool => \in_array($t->kind, [TaskKind::Weed, TaskKind::Care], true))));
        }
    }

    /** Weeks looked at one by one hold each task once, in the week of its day, and nothing else. */
    #[DataProvider('gardens')]
    public function testEachTaskIsInExactlyOneWeek(Garden $garden): void
    {
        $site = Work::site($garden);
        $placing = new Placing($garden->today, $site->weather, $garden->diary->marks);
        $seen = [];
        for ($n = -1; $n < 8; ++$n) {
            $week = WorkWeek::of($site, TaskList::usual(), $garden->today->plus(7 * $n)->week());
            foreach ($week->jobs() as $job) {
                foreach ($job->tasks as $placed) {
                    self::assertArrayNotHasKey($placed->task->id->text(), $seen, 'in two weeks');
                    $seen[$placed->task->id->text()] = $placed->day->number;
                }
            }
            self::assertEqualsWithDelta(array_sum(array_map(static fn (WorkDay $d): float => $d->hours(), $week->days)), $week->hours(),
                1e-6);
            $parts = array_merge(...array_map(static fn (Job $job): array => $job->tasks, $week->jobs()));
            self::assertEqualsWithDelta(array_sum(array_map(static fn (PlacedTask $p): float => $p->hours, $parts)), $week->hours(), 1e-6,
                'hours are the sum of their parts');
        }
        $first = $garden->today->plus(-7)->week()->monday();
        $missing = [];
        foreach ($this->all($site) as $task) {
            $day = $placing->place($task)->day;
            if (!$day->isBefore($garden->today) && $day->since($first) < 56 && !isset($seen[$task->id->text()])) {
                $missing[] = $task->id->text();
            }
        }
        self::assertSame([], $missing);
    }

    /** A wet week moves dry work, and loses none of it. */
    #[DataProvider('gardens')]
    public function testAWetWeekMovesDryWork(Garden $garden): void
    {
        $wet = [];
        for ($n = 0; $n < 5; ++$n) {
            $wet[$garden->today->plus($n)->iso()] = 12.0;
        }
        $dry = Work::site($garden);
        $rainy = Work::site($garden, Work::rain($wet));
        $ids = static fn (Site $site): array => array_map(static fn (PlacedTask $p): string => $p->task->id->text(),
            array_merge(...array_map(static fn ($j): array => $j->tasks,
                array_merge(...array_map(static fn (int $n): array => WorkWeek::of($site,
                    TaskList::usual(), $site->garden->today->plus(7 * $n)->week())->open(), range(0, 6))))));
        $isOfTheDay = static fn (string $id): bool => 1 === preg_match('/:(water|heat|tonight|round)\//', $id);
        $lost = array_filter(array_diff($ids($dry), $ids($rainy)), static fn (string $id): bool => !$isOfTheDay($id));
        self::assertSame([], array_values($lost));
        foreach ($this->all($rainy) as $task) {
            $placed = (new Placing($garden->today, $rainy->weather, []))->place($task);
            if ($placed->isOpen() && Bears::Dry === $task->bears) {
                self::assertTrue($rainy->weather->isOpen($placed->day), $task->id->text());
            }
        }
    }

    /** What is ticked stays ticked, though its days move. */
    #[DataProvider('gardens')]
    public function testADoneOneNeverReturns(Garden $garden): void
    {
        $open = array_values(array_filter($this->all(Work::site($garden)), static fn (Task $t): bool => null !== $t->planting
            && null === $t->doneOn && !$t->kind->isOfTheDay() && TaskKind::Pick !== $t->kind));
        $marks = array_map(static fn (Task $t): Mark => new Mark($t->id, MarkKind::Done, $garden->today), $open);
        $moved = $garden->with(array_map(static fn (Planting $p): Planting => $p->but(dates: $p->dates()->later(4)),
            $garden->plantings->all()))->keeping(new Diary($marks));
        $placing = new Placing($moved->today, Work::site($moved)->weather, $marks);
        $done = array_flip(array_map(static fn (Mark $m): string => $m->task->text(), $marks));
        $returned = [];
        foreach ($this->all(Work::site($moved)) as $task) {
            if (isset($done[$task->id->text()]) && TaskState::Done !== $placing->place($task)->state) {
                $returned[] = $task->id->text();
            }
        }
        self::assertNotSame([], $open);
        self::assertSame([], $returned);
    }

    /** @return list<Task> */
    private function all(Site $site): array
    {
        return TaskList::usual()->of($site, Period::between($site->garden->today->plus(-200), $site->garden->today->plus(500)));
    }
}
