<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Hand;

use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\FreeBed;
use JollyFurrow\Hand\FreeBedWay;
use JollyFurrow\Hand\GreenManure;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Quarantine;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Preparation\ResidueAmount;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\Source;
use PHPUnit\Framework\TestCase;

final class FreeBedTest extends TestCase
{
    /** @return list<FreeBedWay> */
    private static function ways(Garden $garden, string $bed): array
    {
        $recipes = self::recipes();
        $free = BedOutlook::of($garden->bedsByName()[$bed], $garden->plantings->all(), $garden->today)[0];

        return (new FreeBed($garden, Book::crops(), $recipes,
            (new Planner(Book::crops(), $recipes))->asItStands($garden)->shortages))->ways($free);
    }

    private static function recipes(): RecipeBook
    {
        $hurry = new Recipe('fast-turn', 'Fast turn', 'turn', true, [new Step('Pull', 2, 3.0, 'sickle', '', '')], Source::practice());

        return RecipeBook::of([...Book::recipes()->all() ?: [$hurry], $hurry]);
    }

    /**
     * Whatever is offered can be planted: nothing hard stands against it, its bed is made ready inside the free time, it
     * is gone before the next.
     */
    public function testEveryWayFitsTheGap(): void
    {
        foreach (['2026-04-20', '2026-06-15', '2026-08-05'] as $today) {
            $next = LittleGarden::radish(Day::parse($today)->plus(95)->iso(), 'A1', 0, 20_000_000);
            $garden = LittleGarden::timed($today, [$next]);
            $ways = self::ways($garden, 'A1');
            self::assertNotSame([], $ways, $today);
            foreach ($ways as $way) {
                $planting = $way->planting(Stretch::of('A1', 0, 20_000_000), [$next->key => 0]);
                $after = $garden->with([$next, $planting]);
                self::assertSame([], array_filter((new Conflicts(Book::crops()))->of($after, [$planting->key]),
                    static fn (Conflict $c): bool => $c->isHard()), $planting->key);
                self::assertSame((new Leads($garden))->days($way->recipe, $way->ground), $way->ground->since($planting->bedStart));
                self::assertFalse($planting->bedStart->isBefore($garden->today));
                self::assertTrue($planting->clear->isBefore($next->bedStart) && !$planting->clear->isBefore($way->ready));
                self::assertFalse($way->lastSowing->isBefore($way->sow));
            }
        }
    }

    public function testWhatFillsMostComesFirstAndNoMoreThanIsShort(): void
    {
        $garden = LittleGarden::on('2026-05-01', [], ['2026-06-13' => 40, '2026-06-20' => 300, '2026-12-20' => 50]);
        $ways = self::ways($garden, 'A2');

        self::assertSame('radish', $ways[0]->crop->key);
        self::assertSame(200 * array_sum($ways[0]->fills), (int) $ways[0]->worth);
        self::assertLessThanOrEqual($ways[0]->units, array_sum($ways[0]->fills));
        self::assertArrayNotHasKey(Day::parse('2026-12-20')->number, $ways[0]->fills);
        foreach ($ways[0]->fills as $day => $units) {
            self::assertLessThanOrEqual($day === Day::parse('2026-06-13')->number ? 44 : 330, $units);
        }
        self::assertSame([], \array_slice(array_filter($ways, static fn (FreeBedWay $w): bool => 'radish' !== $w->crop->key
            && $w->worth > 0), 0));
    }

    public function testWithNoTimeForTheUsualPreparationTheFastOneIsTakenAndSaid(): void
    {
        $garden = LittleGarden::on('2026-05-11', [LittleGarden::radish('2026-06-18', 'A1', 0, 20_000_000)]);
        $radish = array_values(array_filter(self::ways($garden, 'A1'),
            static fn (FreeBedWay $w): bool => 'radish' === $w->crop->key))[0] ?? null;

        self::assertNotNull($radish);
        self::assertTrue($radish->isHurried);
        self::assertSame(['fast-turn', '2026-05-13'], [$radish->recipe->key, $radish->sow->iso()]);
        $later = array_values(array_filter(self::ways(LittleGarden::on('2026-05-11'), 'A1'),
            static fn (FreeBedWay $w): bool => 'radish' === $w->crop->key))[0];
        self::assertFalse($later->isHurried, 'a few days later its usual preparation is done');
        self::assertSame('2026-05-16', $later->sow->iso());
    }

    /** Common practice: rye and vetch over winter, quick ones in summer, three weeks and more from ending to planting. */
    public function testGreenManuresByTheGap(): void
    {
        self::assertContains('rye', self::manures('2026-09-12', '2027-05-19'));
        self::assertContains('vetch', self::manures('2026-09-12', '2027-05-19'));
        self::assertNotContains('buckwheat', self::manures('2026-09-12', '2027-03-01'));
        self::assertContains('buckwheat', self::manures('2027-06-01', '2027-08-20'));
        self::assertSame([], self::gap('2026-09-12', '2026-10-01'));
        foreach (self::gap('2026-09-12', '2027-05-19') as $one) {
            self::assertGreaterThanOrEqual(ResidueAmount::Light === $one->residue() ? 14 : 21, $one->plant->since($one->end));
            self::assertTrue($one->sow->isBefore($one->end));
            self::assertEqualsWithDelta($one->dry->value * ('Legume' === $one->crop->family ? 16.0 : 9.0), $one->nitrogen->value, 1e-6);
        }
    }

    public function testNoGreenManureOfAFamilyInQuarantine(): void
    {
        $bed = LittleGarden::timed('2026-09-10')->beds[0];
        $families = static fn (Bed $bed): array => array_unique(array_map(static fn (GreenManure $g): string => $g->crop->family,
            GreenManure::forGap(LittleGarden::timed('2026-09-10'), Book::crops(), $bed, Length::fromMetres(20),
                Day::parse('2026-09-12'), Day::parse('2027-05-19'))));
        $sick = static fn (string $until): Bed => new Bed($bed->name, $bed->block, $bed->position, $bed->length, $bed->width,
            $bed->path, $bed->place, $bed->temper, [new Quarantine('Legume', Day::parse($until), 'root rot')]);

        self::assertContains('Legume', $families($bed));
        self::assertNotContains('Legume', $families($sick('2031-01-01')));
        self::assertContains('Legume', $families($sick('2026-09-11')), 'over the day before');
    }

    /** Planted, it keeps the days of its preparation when it is moved into another time of the year. */
    public function testMovedIntoTheColdItsPreparationTakesLonger(): void
    {
        $recipe = new Recipe('compost-mulch', 'Slow', 'mulch', true, [new Step('Lay', 5, 1.0, 'tarp', '', '', 9, 20)], Source::practice());
        $hand = new \JollyFurrow\Hand\ByHand(Book::crops(), RecipeBook::of([$recipe]));
        $radish = LittleGarden::radish('2026-07-10');
        $moved = $hand->sowOn(LittleGarden::on('2026-01-05'), $radish, Day::parse('2026-03-01'));

        self::assertSame([5, 20], [$radish->ground->since($radish->bedStart), $moved->ground->since($moved->bedStart)]);
    }

    /** @return list<GreenManure> */
    private static function gap(string $from, string $until): array
    {
        $garden = LittleGarden::timed('2026-09-10');

        return GreenManure::forGap($garden, Book::crops(), $garden->beds[0], Length::fromMetres(20), Day::parse($from), Day::parse($until));
    }

    /** @return list<string> keys */
    private static function manures(string $from, string $until): array
    {
        return array_map(static fn (GreenManure $g): string => $g->crop->key, self::gap($from, $until));
    }
}
