<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Plan;

use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\NotHere;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\RestingBed;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Why\Contradictions;
use JollyFurrow\Why\Explainer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What cannot be is answered in words, and the plan is drawn up as far as it can be. */
final class ImpossibleWishesTest extends TestCase
{
    /** @return iterable<string, array{PlanRules, string}> */
    public static function wishes(): iterable
    {
        $year = Period::fromFirstToLast(Day::parse('2026-01-01'), Day::parse('2027-12-31'));
        $rest = static fn (string ...$beds): array => array_fill_keys($beds, [new RestingBed($year)]);
        yield 'every bed rests' => [new PlanRules(resting: $rest('A1', 'A2', 'A3', 'T1')), 'no-bed-of-its-kind'];
        yield 'every bed in reserve' => [new PlanRules(reserveBeds: ['A1', 'A2', 'A3', 'T1']), 'no-bed-of-its-kind'];
        yield 'kept off everywhere' => [new PlanRules(notHere: [new NotHere('radish', 'A'), new NotHere('radish', 'T1')]),
            'kept-off-everywhere crop=Radish'];
        yield 'a family kept off everywhere' => [new PlanRules(notHere: [new NotHere('Cabbage', 'A'), new NotHere('Cabbage', 'T1')]),
            'kept-off-everywhere crop=Radish'];
        yield 'grown as it never is' => [new PlanRules(methods: ['radish' => Method::Transplanted]), 'no-days-for-that-way'];
    }

    #[DataProvider('wishes')]
    public function testTheContradictionIsToldAndEverythingIsShort(PlanRules $rules, string $said): void
    {
        $garden = self::ruled(LittleGarden::on('2026-04-01', [], ['2026-06-13' => 40]), $rules);
        $plan = (new Planner(Book::crops(), Book::recipes()))->draw($garden);

        self::assertStringContainsString($said, implode(' ', array_map(Said::of(...), Contradictions::of($garden, Book::crops()))));
        self::assertSame([], $plan->new);
        self::assertNotSame([], $plan->shortages);
        self::assertCount(\count($plan->shortages), (new Explainer(Book::crops(), Book::recipes()))->explain($garden, $plan));
    }

    public function testALockedPlantingOnARestingBedIsToldAndStays(): void
    {
        $radish = LittleGarden::radish('2026-05-12', 'A1', 0, 12_000_000)->lock();
        $garden = self::ruled(LittleGarden::on('2026-04-01', [$radish], ['2026-06-13' => 40]),
            new PlanRules(resting: ['A1' => [new RestingBed(Period::fromFirstToLast(Day::parse('2026-05-20'),
                Day::parse('2026-08-01')))]]));

        self::assertStringStartsWith('on-a-resting-bed crop=Radish locked=yes bed=A1',
            Said::of(Contradictions::of($garden, Book::crops())[0]));
        self::assertEquals([$radish], (new Planner(Book::crops(), Book::recipes()))->draw($garden)->kept);
    }

    public function testNothingIsToldWhereNothingIsWrong(): void
    {
        self::assertSame([], Contradictions::of(LittleGarden::on('2026-04-01', [], ['2026-06-13' => 40]), Book::crops()));
    }

    private static function ruled(Garden $garden, PlanRules $rules): Garden
    {
        return $garden->set($garden->settings->ruledBy($rules));
    }
}
