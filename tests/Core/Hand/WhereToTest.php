<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Hand;

use JollyFurrow\Beds\Rule;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\BedPlace;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\NotDone;
use JollyFurrow\Hand\WhereTo;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use PHPUnit\Framework\TestCase;

/** Radishes of 5 m sown on 10 May, their bed taken from the 5th to 15 June, in a garden of beds of 20 m. */
final class WhereToTest extends TestCase
{
    /** On A2 stands lettuce all along the bed, on A3 radishes were until May: the same family too soon, which bends a rule. */
    public function testMayBendsOrNot(): void
    {
        $garden = self::garden([LittleGarden::lettuce('2026-04-01', 'A2', 0, 20_000_000), LittleGarden::radish('2026-03-20', 'A3', 0,
            20_000_000)]);
        $places = WhereTo::of($garden, Book::crops(), Book::recipes(), self::moved())->beds;

        self::assertSame(['A1' => 'may', 'A2' => 'not', 'A3' => 'bends', 'T1' => 'may'],
            array_map(static fn (BedPlace $p): string => !$p->isPossible()
            ? 'not' : ($p->bends() ? 'bends' : 'may'), $places));
        self::assertSame([NotDone::NothingFree, Rule::FamilyTooSoon, null], [$places['A2']->why()?->code, $places['A3']->why()?->code,
            $places['A1']->why()?->code]);
    }

    /** Where it stands it may stay, on the stretch it has; elsewhere it goes to the first that is free. */
    public function testItsOwnStretchAndTheFirstFreeOne(): void
    {
        $garden = self::garden([LittleGarden::lettuce('2026-04-01', 'A1', 0, 4_000_000), LittleGarden::lettuce('2026-04-02', 'A3', 0,
            6_000_000)]);
        $places = WhereTo::of($garden, Book::crops(), Book::recipes(), self::moved())->beds;
        $from = static fn (BedPlace $p): array => [$p->planting?->pieces[0]->from, $p->planting?->pieces[0]->to];

        self::assertSame([[10_000_000, 15_000_000], [0, 5_000_000], [6_000_000, 11_000_000]], [$from($places['A1']), $from($places['A2']),
            $from($places['A3'])]);
    }

    /** Under cover it is dated for there; the bed it says is free is free by the dry run, too. */
    public function testAsTheDryRunHasIt(): void
    {
        $checked = [];
        $planner = new Planner(Book::crops(), Book::recipes());
        $garden = self::garden([LittleGarden::lettuce('2026-04-01', 'A2', 0, 17_000_000), LittleGarden::radish('2026-03-20', 'A3', 0,
            20_000_000), LittleGarden::lettuce('2026-04-15', 'A1', 0, 12_000_000)]);
        foreach (range(0, 77, 7) as $later) {
            $planting = (new ByHand(Book::crops(), Book::recipes()))->sowOn($garden, self::moved(), self::moved()->sow->plus($later - 35));
            foreach (WhereTo::of($garden, Book::crops(), Book::recipes(), $planting)->beds as $place) {
                $then = null === $place->planting ? null : DryRun::of($planner, Book::crops(), $garden, [self::moved()],
                    [$place->planting]);
                self::assertSame($place->isPossible(), $then?->isPossible() ?? false, $place->bed);
                self::assertSame($place->bends(), true === $then?->isPossible() && [] !== $then->conflicts, $place->bed);
                $checked[$place->isPossible() ? ($place->bends() ? 'bends' : 'may') : 'not'] = true;
            }
        }
        self::assertCount(3, $checked, 'all three were there');
        $in = WhereTo::of(self::garden([]), Book::crops(), Book::recipes(), self::moved())->beds['T1']->planting;
        self::assertSame('tunnel', $in?->place->value);
    }

    private static function moved(): Planting
    {
        return LittleGarden::radish('2026-05-10', 'A1', 10_000_000, 15_000_000);
    }

    /** @param list<Planting> $others */
    private static function garden(array $others): Garden
    {
        return LittleGarden::on('2026-03-15', [...$others, self::moved()]);
    }
}
