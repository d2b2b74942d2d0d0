<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Beds;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Beds\Rule;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ConflictsTest extends TestCase
{
    /** @param list<Rule> $rules */
    #[DataProvider('plantings')]
    public function testEachRuleIsFound(Planting $planting, array $rules): void
    {
        $other = LittleGarden::lettuce('2026-03-20');

        self::assertSame($rules, self::rules([$other, $planting], $planting));
    }

    /** @return iterable<string, array{Planting, list<Rule>}> */
    public static function plantings(): iterable
    {
        $on = static fn (string $bed, int $from, int $to): Planting => LittleGarden::radish('2026-05-01', $bed, $from, $to);
        yield 'nothing' => [$on('A1', 0, 5_000_000), []];
        yield 'beside the other' => [$on('A2', 10_000_000, 20_000_000), []];
        yield 'no such bed' => [$on('Z9', 0, 5_000_000), [Rule::NoSuchBed]];
        yield 'beyond the bed' => [$on('A1', 16_000_000, 21_000_000), [Rule::BeyondBed]];
        yield 'another place type' => [$on('A1', 0, 5_000_000)->but(place: PlaceType::Tunnel), [Rule::WrongPlace]];
        yield 'taken' => [$on('A2', 9_000_000, 12_000_000), [Rule::GroundTaken]];
        yield 'half the width each' => [$on('A1', 0, 5_000_000)->but(pieces: [Stretch::of('A2', 12_000_000, 14_000_000, 0.5)]), []];
        yield 'comes to nothing' => [LittleGarden::radish('2026-10-20', 'A1'), [Rule::ComesToNothing]];
        yield 'no stand left' => [$on('A1', 0, 5_000_000)->but(stand: 0.0), [Rule::FrostFirst]];
    }

    /** A bed is one crop's on its last day still, and the next one's from its first day of preparation. */
    #[TestWith([0, true])]
    #[TestWith([1, false])]
    public function testNoTwoCropsOnOneStretchOnOneDay(int $daysAfter, bool $isTaken): void
    {
        $first = LittleGarden::lettuce('2026-03-20', 'A1', 0, 10_000_000);
        $second = LittleGarden::radish($first->clear->plus($daysAfter + 5)->iso(), 'A1', 0, 5_000_000);

        self::assertSame($isTaken, \in_array(Rule::GroundTaken, self::rules([$first, $second], $second), true), 'the later one');
        self::assertSame($isTaken, \in_array(Rule::GroundTaken, self::rules([$first, $second], $first), true), 'the earlier one');
    }

    public function testTheSameFamilyTooSoonIsToldButPossible(): void
    {
        $first = LittleGarden::radish('2026-04-01');
        $second = LittleGarden::radish('2026-06-01', 'A1', 2_000_000, 4_000_000, number: 2);

        self::assertSame([Rule::FamilyTooSoon], self::rules([$first, $second], $second));
        self::assertFalse(Rule::FamilyTooSoon->isHard());
    }

    public function testTwoInQuestionOnOneStretchAreOneConflict(): void
    {
        $one = LittleGarden::radish('2026-05-01');
        $two = LittleGarden::radish('2026-05-02', number: 2);
        $found = (new Conflicts(Book::crops()))->of(LittleGarden::on('2026-04-01', [$one, $two]), [$one->key, $two->key]);

        self::assertCount(1, array_filter($found, static fn (Conflict $c): bool => Rule::GroundTaken === $c->rule));
        self::assertStringStartsWith('ground-taken crop=Radish bed=A1 begun=no from=2026-04-27', Said::of($found[0]->message));
        self::assertStringEndsWith('isFree=yes free=15 m', Said::of($found[0]->message));
    }

    /** 55 bunches less 6 % lost in packing would serve the 30 promised; two weeks later they come too late. */
    public function testADryRunTellsWhatIsKeptWorseAndWhatThatIsWorth(): void
    {
        $radish = LittleGarden::radish('2026-04-20', standing: \JollyFurrow\Planting\Standing::Growing);
        $garden = LittleGarden::on('2026-05-01', [$radish], ['2026-05-23' => 30]);
        $planner = new Planner(Book::crops(), Book::recipes());
        $run = DryRun::of($planner, Book::crops(), $garden, [$radish], [LittleGarden::radish('2026-05-04', number: 2)]);

        self::assertTrue($run->isPossible());
        self::assertSame([['stall', '2026-05-23', 0, 30]], array_map(static fn ($c): array => [$c->outlet, $c->day->iso(),
            $c->shortBefore, $c->shortAfter], $run->changes));
        self::assertEqualsWithDelta(-30 * 200.0, $run->worth, 0.001);
        self::assertFalse(DryRun::of($planner, Book::crops(), $garden, [], [LittleGarden::radish('2026-05-04', number: 2)])->isPossible());
    }

    /**
     * @param list<Planting> $all
     *
     * @return list<Rule>
     */
    private static function rules(array $all, Planting $planting): array
    {
        return array_map(static fn (Conflict $c): Rule => $c->rule, (new Conflicts(Book::crops()))->of(LittleGarden::on('2026-04-01',
            $all), [$planting->key]));
    }
}
