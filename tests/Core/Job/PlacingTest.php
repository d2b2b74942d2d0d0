<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Job;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Job\Placing;
use JollyFurrow\Job\TaskState;
use JollyFurrow\Measure\Length;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Tests\Support\Work;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Tasks here are due with two days before and four after; 2026-07-20 is a Monday. */
final class PlacingTest extends TestCase
{
    #[TestWith(['2026-07-22', '2026-07-20', '2026-07-22', 'open'])]
    #[TestWith(['2026-07-18', '2026-07-20', '2026-07-20', 'open'])]
    #[TestWith(['2026-07-09', '2026-07-20', '2026-07-20', 'open'])]
    #[TestWith(['2026-07-08', '2026-07-20', '2026-07-12', 'lapsed'])]
    public function testWhatIsOpenIsNeverBeforeToday(string $due, string $today, string $on, string $state): void
    {
        $placed = Work::placed(Work::task($due), $today);

        self::assertSame([$on, $state], [$placed->day->iso(), $placed->state->value]);
    }

    public function testSomeWaitForEverAndSomeOnlyTheirDay(): void
    {
        self::assertSame(TaskState::Open, Work::placed(Work::task('2026-05-01', kind: TaskKind::SowBed), '2026-07-20')->state);
        self::assertSame(TaskState::Open, Work::placed(Work::task('2026-07-20', kind: TaskKind::Round), '2026-07-20')->state);
        self::assertSame(TaskState::Lapsed, Work::placed(Work::task('2026-07-19', kind: TaskKind::Round), '2026-07-20')->state);
        self::assertSame(TaskState::Lapsed, Work::placed(Work::task('2026-07-19', isTakenOver: true), '2026-07-20')->state);
    }

    /** Rain of a day, and of the day it dries after. */
    public function testDryWorkWaitsForOpenSoil(): void
    {
        $rain = Work::rain(['2026-07-20' => 12.0, '2026-07-21' => 0.0, '2026-07-22' => 0.0]);
        $on = static fn (Bears $bears, string $due, int $wait = 4): array => [($p = Work::placed(Work::task($due, $bears, wait: $wait),
            '2026-07-18', $rain))->day->iso(), $p->isMoved, $p->isTooWet];

        self::assertSame(['2026-07-23', true, false], $on(Bears::Dry, '2026-07-20'), 'two days to dry after 12 mm');
        self::assertSame(['2026-07-20', false, false], $on(Bears::Any, '2026-07-20'));
        self::assertSame(['2026-07-19', true, false], $on(Bears::Dry, '2026-07-20', 2), 'before the rain, where it takes all its time');
        self::assertSame(['2026-07-24', false, false], $on(Bears::Dry, '2026-07-24'));
    }

    public function testWithNoDryDayInItsTimeItComesWhenTheSoilOpens(): void
    {
        $rain = Work::rain(['2026-07-20' => 12.0, '2026-07-21' => 12.0, '2026-07-22' => 12.0]);
        $placed = Work::placed(Work::task('2026-07-20', Bears::Dry, wait: 2), '2026-07-20', $rain);

        self::assertSame(['2026-07-25', false], [$placed->day->iso(), $placed->isTooWet]);
    }

    public function testNothingIsDoneBeforeItsFirstDay(): void
    {
        $rain = Work::rain(['2026-07-18' => 5.0, '2026-07-19' => 5.0, '2026-07-20' => 5.0]);

        self::assertSame('2026-07-22', Work::placed(Work::task('2026-07-20', Bears::Dry, wait: 0), '2026-07-10', $rain)->day->iso(),
            'dry until the 17th, but it may begin on the 18th');
    }

    public function testWorkUnderARoofIsKeptForAWetDay(): void
    {
        $rain = Work::rain(['2026-07-23' => 8.0]);
        $on = static fn (TaskKind $kind, int $wait): string => Work::placed(Work::task('2026-07-21', Bears::Roof, $kind, wait: $wait),
            '2026-07-20', $rain)->day->iso();

        self::assertSame('2026-07-23', $on(TaskKind::Own, 2));
        self::assertSame('2026-07-21', $on(TaskKind::Own, 1), 'it cannot wait that long');
        self::assertSame('2026-07-21', $on(TaskKind::SowTrays, 4), 'a sowing does not wait for rain');
    }

    public function testTicksCountAndTheLastOneHolds(): void
    {
        $task = Work::task('2026-07-21');
        $day = Day::parse('2026-07-20');
        $mark = static fn (MarkKind $kind, ?float $metres = null, ?string $until = null): Mark => new Mark($task->id, $kind, $day,
            null === $metres ? null : Length::fromMetres($metres), until: null === $until ? null : Day::parse($until));
        $placed = static fn (Mark ...$marks): array => [($p = (new Placing($day, SoilDays::unknown(),
            array_values($marks)))->place($task))->state->value,
            $p->day->iso(), $p->toDo->metres(), round($p->hours, 2)];

        self::assertSame(['done', '2026-07-20', 10.0, 2.0], $placed($mark(MarkKind::Done)));
        self::assertSame(['left', '2026-07-20', 10.0, 0.0], $placed($mark(MarkKind::Left)));
        self::assertSame(['open', '2026-07-21', 7.0, 1.4], $placed($mark(MarkKind::Part, 3.0)));
        self::assertSame(['open', '2026-07-21', 2.0, 0.4], $placed($mark(MarkKind::Part, 3.0), $mark(MarkKind::Part, 5.0)));
        self::assertSame(['open', '2026-07-27', 10.0, 2.0], $placed($mark(MarkKind::Later, until: '2026-07-27')));
        self::assertSame(['done', '2026-07-20', 10.0, 2.0], $placed($mark(MarkKind::Later, until: '2026-07-27'), $mark(MarkKind::Done)));
    }

    public function testWhatIsPutOffServesUntilThatDayAtLeast(): void
    {
        $task = Work::task('2026-07-21');
        $later = new Mark($task->id, MarkKind::Later, Day::parse('2026-07-20'), until: Day::parse('2026-07-30'));

        self::assertSame('2026-07-30', (new Placing(Day::parse('2026-07-20'), SoilDays::unknown(), [$later]))->place($task)->last->iso());
        self::assertSame('2026-07-25', Work::placed($task, '2026-07-20')->last->iso());
    }

    public function testLateIsWhatNobodyDidInTime(): void
    {
        self::assertTrue(Work::placed(Work::task('2026-07-19'), '2026-07-20')->isLate());
        self::assertFalse(Work::placed(Work::task('2026-07-20'), '2026-07-20')->isLate());
        self::assertFalse(Work::placed(Work::task('2026-07-20', Bears::Dry), '2026-07-20', Work::rain(['2026-07-20' => 9.0]))->isLate(),
            'rain is nobody\'s fault');
    }
}
