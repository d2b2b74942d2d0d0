<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Job;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\JobGroup;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\Relief;
use JollyFurrow\Job\WorkDay;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Work;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** One line a job and block, by last day and money; a day that is too full. 2026-07-20 is a Monday. */
final class JobTest extends TestCase
{
    public function testOneLineABlockByLastDayThenByMoney(): void
    {
        $task = static fn (string $step, string $block, TaskKind $kind, float $cents,
            int $wait = 4): PlacedTask => Work::placed(Work::task('2026-07-20',
                kind: $kind, step: $step, cents: $cents, wait: $wait, block: $block), '2026-07-20');
        $jobs = Job::of([$task('a', 'A', TaskKind::Weed, 10.0), $task('b', 'A', TaskKind::Weed, 20.0), $task('c', 'B', TaskKind::Weed,
            90.0),
            $task('d', 'A', TaskKind::Prepare, 5.0, 1)], []);

        self::assertSame([['d'], ['c'], ['a', 'b']],
            array_map(static fn (Job $j): array => array_map(static fn (PlacedTask $p): string => $p->task->id->step,
                $j->tasks), $jobs));
        self::assertSame([30.0, 4.0, 20.0], [$jobs[2]->cents(), $jobs[2]->hours(), $jobs[2]->length()->metres()]);
    }

    /** The nursery is one place, wherever its plants are to go. */
    public function testWhatIsDoneInTheNurseryIsOneLine(): void
    {
        $task = static fn (string $step, string $block): PlacedTask => Work::placed(Work::task('2026-07-20', kind: TaskKind::Harden,
            step: $step, block: $block), '2026-07-20');

        self::assertCount(1, Job::of([$task('a', 'A'), $task('b', 'B')], []));
    }

    #[TestWith([Bears::Dry, 9, JobGroup::Dry])]
    #[TestWith([Bears::Any, 3, JobGroup::Now])]
    #[TestWith([Bears::Any, 4, JobGroup::Whenever])]
    #[TestWith([Bears::Roof, 4, JobGroup::Wet])]
    #[TestWith([Bears::Roof, 1, JobGroup::Now])]
    public function testGroups(Bears $bears, int $wait, JobGroup $group): void
    {
        self::assertSame($group, Job::of([Work::placed(Work::task('2026-07-20', $bears, wait: $wait), '2026-07-20')], [])[0]->group());
    }

    /** Ten hours of work on a day of eight: what costs least an hour goes to the next day that has room. */
    public function testTooMuchForADay(): void
    {
        $week = $this->week([1 => 8.0, 2 => 1.0, 3 => 8.0], [
            Work::task('2026-07-20', step: 'dear', hours: 6.0, cents: 60_000.0),
            Work::task('2026-07-20', step: 'cheap', hours: 2.0, cents: 200.0, kind: TaskKind::Walk),
            Work::task('2026-07-20', step: 'soon', hours: 2.0, cents: 900.0, wait: 0, kind: TaskKind::Clear),
        ]);
        $relief = Relief::of($week)[0];

        self::assertSame('2026-07-20', $relief->day->day->iso());
        self::assertEqualsWithDelta(2.0, $relief->day->over(), 1e-9);
        self::assertSame([['cheap', '2026-07-22', 0.0]], array_map(static fn (array $m): array => [$m['job']->first()->id->step,
            $m['to']->iso(), $m['cents']], $relief->moves));
        self::assertSame([], $relief->leave);
    }

    public function testWhatIsPutOffBeyondItsLastDayCosts(): void
    {
        $job = $this->week([1 => 8.0], [Work::task('2026-07-20', cents: 1400.0, wait: 1)])->jobs()[0];

        self::assertSame(0.0, Relief::cost($job, Day::parse('2026-07-21')));
        self::assertSame(100.0, Relief::cost($job, Day::parse('2026-07-22')));
        self::assertSame(1400.0, Relief::cost($job, Day::parse('2026-09-22')));
    }

    public function testWhatFindsNoHandsIsNamedTheCheapestFirst(): void
    {
        $week = $this->week([1 => 4.0], [Work::task('2026-07-20', step: 'dear', hours: 4.0, cents: 90_000.0),
            Work::task('2026-07-20', step: 'cheap', hours: 3.0, cents: 300.0, kind: TaskKind::Walk)]);
        $relief = Relief::of($week)[0];

        self::assertSame([], $relief->moves);
        self::assertSame(['cheap'], array_map(static fn (Job $j): string => $j->first()->id->step, $relief->leave));
    }

    public function testNobodyNamedIsNoDayTooFull(): void
    {
        self::assertSame([], Relief::of($this->week([], [Work::task('2026-07-20', hours: 40.0)])));
    }

    public function testHandsAreThoseWhoAreThere(): void
    {
        $week = $this->week([1 => 8.0, 6 => 4.0], []);

        self::assertSame([8.0, 0.0, 0.0, 0.0, 0.0, 4.0, 0.0], array_map(static fn (WorkDay $d): ?float => $d->hands, $week->days));
        self::assertSame(12.0, $week->hands());
    }

    /**
     * @param array<int, float> $hours by weekday; none: nobody is named
     * @param list<Task>        $tasks
     */
    private function week(array $hours, array $tasks): WorkWeek
    {
        $garden = LittleGarden::on('2026-07-20')->keeping(new Diary([], [] === $hours ? [] : [new Worker('Mika', $hours)]));

        return WorkWeek::from(Work::site($garden), $tasks, $garden->today->week());
    }
}
