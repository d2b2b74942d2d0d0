<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\WhatIf;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Money;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Weekday;
use JollyFurrow\WhatIf\Figures;
use JollyFurrow\WhatIf\Question;
use PHPUnit\Framework\TestCase;

/** A Saturday stall that is promised radishes; it is Wednesday 8 April. */
final class QuestionTest extends TestCase
{
    /** Half as much again from today on; what is gone by stays, and halves stay halves. */
    public function testMoreOf(): void
    {
        $asked = Question::moreOf('stall', 1.5)->asked(self::garden());

        self::assertSame([['2026-04-04', 20.0], ['2026-04-11', 30.0], ['2026-04-18', 4.5]], self::told($asked, 'stall'));
    }

    /** Forty more of eighty boxes are half as much again. */
    public function testMoreBoxes(): void
    {
        $garden = self::garden()->selling(new MarketBook(sizes: [new BoxSize('s', 'stall', 'Small', Money::fromCents(1), [30, 30]),
            new BoxSize('l', 'stall', 'Large', Money::fromCents(1), [20])]));

        self::assertSame(1.5, Question::moreBoxes($garden, 'stall', 40)->share);
        self::assertSame(1.0, Question::moreBoxes(self::garden(), 'stall', 40)->share, 'no boxes');
    }

    /** On Wednesdays of the same weeks, from today on, served last. */
    public function testASecondMarket(): void
    {
        $asked = Question::secondMarket('stall', Weekday::Wednesday, 0.6)->asked(self::garden());

        self::assertSame([['2026-04-08', 12.0], ['2026-04-15', 2.0]], self::told($asked, 'stall-two'));
        self::assertSame(self::told(self::garden(), 'stall'), self::told($asked, 'stall'));
        self::assertSame([2, 'Stall 2', 3], [$asked->outlets[1]->priority, $asked->outlets[1]->name, $asked->outlets[1]->pickToSaleDays]);
    }

    /** What stands in the tunnel stays, what is planned there goes, and nothing more is planted. */
    public function testWithoutTheTunnels(): void
    {
        $in = static fn (string $sow, Standing $standing): Planting => LittleGarden::radish($sow, 'T1', standing: $standing);
        $garden = self::garden()->with([$in('2026-03-20', Standing::Growing), $in('2026-05-01', Standing::Planned),
            LittleGarden::radish('2026-05-02')]);
        $asked = Question::without(PlaceType::Tunnel)->asked($garden);

        self::assertSame(['radish@2026-03-20#1', 'radish@2026-05-02#1'], array_map(static fn (Planting $p): string => $p->key,
            $asked->plantings->all()));
        self::assertSame(['A1' => null, 'A2' => null, 'A3' => null, 'T1' => '2026-04-08'], array_map(
            static fn (Bed $b): ?string => $b->retired?->iso(), $asked->bedsByName()));
        self::assertSame([60.0, 0.0], [$asked->metresOf(PlaceType::Field), $asked->metresOf(PlaceType::Tunnel)]);
    }

    public function testAsItIs(): void
    {
        $garden = self::garden();

        self::assertSame($garden, Question::asItIs()->asked($garden));
    }

    /** Five metres of radishes serve both Saturdays; twice as many promised and half of it is short. */
    public function testTheFigures(): void
    {
        $garden = self::garden()->with([LittleGarden::radish('2026-03-08', standing: Standing::Growing)]);
        $now = Figures::of($garden, Book::crops(), Book::recipes());
        $more = Figures::of(Question::moreOf('stall', 4.0)->asked($garden), Book::crops(), Book::recipes());

        self::assertLessThan($now->kept, $more->kept);
        self::assertGreaterThan($now->takings, $more->takings);
        self::assertSame(['Radish'], $more->short);
        self::assertEqualsWithDelta(5 * 6 / 7, $now->metreWeeks, 1e-9, 'five metres from today to Monday the 13th');
        self::assertSame(['kept', 'takings', 'left', 'hours', 'metre-weeks', 'tight'], array_keys($now->all()));
    }

    private static function garden(): Garden
    {
        return LittleGarden::on('2026-04-08', [], ['2026-04-04' => 20, '2026-04-11' => 20, '2026-04-18' => 3]);
    }

    /** @return list<array{string, float}> */
    private static function told(Garden $garden, string $outlet): array
    {
        return array_map(static fn (Promise $p): array => [$p->day->iso(), $p->quantity], array_values(array_filter($garden->promises,
            static fn (Promise $p): bool => $p->outlet === $outlet)));
    }
}
