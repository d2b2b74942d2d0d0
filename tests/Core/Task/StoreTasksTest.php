<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Task;

use JollyFurrow\Storage\CuringProgress;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Task\StoreTasks;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Tests\Support\Work;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use PHPUnit\Framework\TestCase;

/** Onions lifted on 1 August cure two to three weeks, until their necks are tight (common practice, no source). */
final class StoreTasksTest extends TestCase
{
    public function testTurnedEveryFiveDaysThenLookedAt(): void
    {
        $tasks = self::tasks('2026-08-02', []);

        self::assertSame(['2026-08-06 turn/Onion', '2026-08-11 turn/Onion', '2026-08-15 cured/Onion'], array_map(
            static fn (Task $t): string => $t->due->iso().' '.$t->name, self::of($tasks, TaskKind::Cure)));
        self::assertSame('2026-08-22', self::of($tasks, TaskKind::Cure)[2]->last->iso(), 'the third week is time for it');
    }

    /** Sold on the third day: nothing is left to turn. */
    public function testNothingOfWhatIsGone(): void
    {
        $lot = Stores::lot('onion', '2026-08-01', 9_000, 'dry');

        self::assertSame([], self::of(self::tasks('2026-08-05', [Stores::handling($lot, '2026-08-04', HandlingKind::Sold, 9_000, 'dry')]),
            TaskKind::Cure));
    }

    /** Every second Monday, and only where something lies: the cold room is empty. */
    public function testEachPlaceIsGoneThrough(): void
    {
        self::assertSame([['2026-08-03', 'Dry room'], ['2026-08-17', 'Dry room']], array_map(
            static fn (Task $t): array => [$t->due->iso(), $t->name], self::of(self::tasks('2026-08-02', []), TaskKind::LookStore)));
    }

    /** Day seven of fourteen to twenty-one is half of the least; two weeks after the most nobody asks any more. */
    public function testHowFarItIs(): void
    {
        $lot = Stores::lot('onion', '2026-08-01', 9_000, 'dry');
        $needs = Stores::keeping()->of(Book::crops()->get('onion'));
        $on = static fn (string $day): ?CuringProgress => CuringProgress::of($lot, $needs, Day::parse($day));

        self::assertSame([7, 0.5, false], [$on('2026-08-08')?->days, $on('2026-08-08')?->share(), $on('2026-08-08')?->mayBeDone()]);
        self::assertSame([true, 1.0], [$on('2026-08-15')?->mayBeDone(), $on('2026-08-30')?->share()]);
        self::assertNotNull($on('2026-09-05'));
        self::assertNull($on('2026-09-06'));
        self::assertNull(CuringProgress::of($lot, Stores::keeping()->of(Book::crops()->get('carrot-storage')), Day::parse('2026-08-08')));
    }

    /**
     * @param list<Handling> $handlings
     *
     * @return list<Task>
     */
    private static function tasks(string $today, array $handlings): array
    {
        $garden = LittleGarden::on($today)->storing(new StoreBook([Stores::cold(), Stores::dry()], [Stores::lot('onion', '2026-08-01',
            9_000, 'dry')], $handlings, [], Stores::keeping()));

        return (new StoreTasks())->tasks(Work::site($garden), Period::between(Day::parse('2026-08-01'), Day::parse('2026-08-31')));
    }

    /**
     * @param list<Task> $tasks
     *
     * @return list<Task>
     */
    private static function of(array $tasks, TaskKind $kind): array
    {
        return array_values(array_filter($tasks, static fn (Task $t): bool => $t->kind === $kind));
    }
}
