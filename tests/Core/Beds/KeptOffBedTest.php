<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Beds;

use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Beds\Breach;
use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Beds\Ground;
use JollyFurrow\Beds\Rule;
use JollyFurrow\Beds\Stay;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\NotHere;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\RestingBed;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\ByRhythm;
use JollyFurrow\Hand\FreeBed;
use JollyFurrow\Hand\GreenManure;
use JollyFurrow\Hand\LateBed;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Paste\StandingReader;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Residue;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Why\Mending;
use PHPUnit\Framework\TestCase;

/**
 * A bed that rests, and one a crop is kept off, wherever beds are offered: the plan, by rhythm, a free bed, green manures,
 * late beds, by hand, a pasted list, mending, conflicts. Each is held against the same garden without the rule.
 */
final class KeptOffBedTest extends TestCase
{
    public function testThePlan(): void
    {
        $beds = static fn (Garden $garden): array => self::beds(...(new Planner(Book::crops(),
            Book::recipes()))->draw($garden)->plantings());

        self::assertContains('A1', $beds(self::garden(false)));
        self::assertSame(['A2'], $beds(self::garden(true)));
    }

    public function testByRhythm(): void
    {
        $beds = static fn (Garden $garden): array => self::beds(...(new ByRhythm(Book::crops(), Book::recipes()))->plan($garden,
            Book::crops()->get('radish'), Method::Sown, $garden->beds, Day::parse('2026-05-15'), Day::parse('2026-06-15'), 14,
            20_000_000)->plantings);

        self::assertContains('A1', $beds(self::garden(false)));
        self::assertSame(['A2'], $beds(self::garden(true)));
    }

    public function testAFreeBed(): void
    {
        $ways = static fn (Garden $garden, string $bed): array => (new FreeBed($garden, Book::crops(), Book::recipes(), []))
            ->ways(BedOutlook::of($garden->bedsByName()[$bed], [], $garden->today)[0]);
        $crops = static fn (Garden $garden, string $bed): array => array_map(static fn ($way): string => $way->crop->item(),
            $ways($garden, $bed));

        self::assertNotSame([], $crops(self::garden(false), 'A1'));
        self::assertSame([], $crops(self::garden(true), 'A1'), 'it rests');
        self::assertContains('radish', $crops(self::garden(false), 'A3'));
        self::assertNotContains('radish', $crops(self::garden(true), 'A3'), 'kept off by name');
    }

    public function testGreenManures(): void
    {
        $manures = static fn (Garden $garden): array => GreenManure::forGap($garden, Book::crops(), $garden->beds[0],
            Length::fromMetres(20),
            Day::parse('2026-09-12'), Day::parse('2027-05-19'));

        self::assertNotSame([], $manures(self::garden(false)));
        self::assertSame([], $manures(self::garden(true)));
    }

    /** A planting whose tarp should lie by now may still go, by its own quick preparation, onto a clean bed. */
    public function testLateBeds(): void
    {
        $late = LittleGarden::radish('2026-05-20', 'A3', 0, 20_000_000);
        $late = $late->but(dates: new Dates($late->sow, $late->ground, Day::parse('2026-04-15'), $late->ready, $late->clear));
        $full = LittleGarden::lettuce('2026-04-01', 'A2', 0, 20_000_000, Standing::Growing);
        $elsewhere = static fn (Garden $garden): ?Planting => LateBed::all($garden->with([$late, $full]), Book::crops(),
            Book::recipes())[0]->elsewhere;

        self::assertSame('A1', $elsewhere(self::garden(false))?->pieces[0]->bed);
        self::assertNull($elsewhere(self::garden(true)));
    }

    public function testByHandAndConflicts(): void
    {
        $radish = LittleGarden::radish('2026-06-01', 'A2');
        $hard = static function (Garden $garden, string $bed) use ($radish): array {
            $moved = (new ByHand(Book::crops(), Book::recipes()))->onto($garden->with([$radish]), $radish, $bed, 0);

            return array_map(static fn (Conflict $c): Rule => $c->rule, (new Conflicts(Book::crops()))->hard($garden->with([$moved]),
                $moved->key));
        };

        self::assertSame([[], []], [$hard(self::garden(false), 'A1'), $hard(self::garden(false), 'A3')]);
        self::assertSame([[Rule::Resting], [Rule::NotHere]], [$hard(self::garden(true), 'A1'), $hard(self::garden(true), 'A3')]);
    }

    public function testAPastedList(): void
    {
        $fault = static function (Garden $garden, string $bed): string {
            $rows = (new StandingReader(Book::crops(), Book::recipes()))->read([['bed' => $bed, 'crop' => 'radish',
                'date' => '2026-05-20', 'length' => '5 m']], $garden, true);
            $fault = $rows[0]->faults['bed'] ?? '';

            return \is_string($fault) ? $fault : Said::of($fault);
        };

        self::assertSame(['', ''], [$fault(self::garden(false), 'A1'), $fault(self::garden(false), 'A3')]);
        self::assertStringContainsString('kept off bed A1', $fault(self::garden(true), 'A1'));
        self::assertStringContainsString('kept off bed A3', $fault(self::garden(true), 'A3'));
    }

    public function testMending(): void
    {
        $beds = static function (Garden $garden): array {
            $ways = (new Mending($garden, Book::crops(), Book::recipes()))->of('radish');

            return self::beds(...array_merge(...array_map(static fn ($way): array => $way->new, $ways)));
        };

        self::assertContains('A1', $beds(self::garden(false)));
        self::assertSame(['A2'], $beds(self::garden(true)));
    }

    /** Phacelia ended on 10 May rots for three weeks: nothing is begun on its ground before, beside it and after it anything. */
    public function testWhatIsLeftOfAGreenManureRotsFirst(): void
    {
        $sow = Day::parse('2026-03-20');
        $end = Day::parse('2026-05-10');
        $green = new Planting('phacelia@2026-03-20#1', 'phacelia', Method::Sown, PlaceType::Field, 'compost-mulch', $sow, $sow, $sow,
            $end, $end, 1.0, [Stretch::of('A1', 0, 10_000_000)], Standing::Growing, false);
        $garden = LittleGarden::on('2026-05-01', [$green], ['2026-06-20' => 60]);
        $ground = Ground::under($garden, Book::crops(), [$green]);
        $rested = Residue::restedBy(Book::crops()->get('phacelia'), $garden->beds[0]->width, $sow, $end, 46.9);
        self::assertSame('2026-05-31', $rested->iso());

        $free = static fn (Day $from): array => $ground->free($garden->beds[0], $from->number, $from->number + 40);
        self::assertSame([[10_000_000, 20_000_000]], $free($rested->plus(-1)));
        self::assertSame([[0, 20_000_000]], $free($rested));
        $soft = static fn (int $from): array => array_map(static fn (Conflict $c): Rule => $c->rule, (new Conflicts(Book::crops()))->of(
            $garden->with([$green, LittleGarden::radish('2026-05-20', 'A1', $from, $from + 5_000_000)]), ['radish@2026-05-20#1']));
        self::assertContains(Rule::ResidueRots, $soft(0));
        self::assertNotContains(Rule::ResidueRots, $soft(12_000_000));
    }

    public function testARetiredBedTakesNothingFromItsDayOn(): void
    {
        $garden = self::garden(false);
        [$first] = $garden->beds;
        $retired = static fn (string $day): Ground => new Ground($garden->onBeds([new Bed($first->name, $first->block, 0, $first->length,
            $first->width, $first->path, $first->place, retired: Day::parse($day))]), Book::crops());
        $radish = LittleGarden::radish('2026-05-04', 'A1', 0, 5_000_000);
        $stay = Stay::ofPlanting(Book::crops()->get('radish'), $radish);
        $rules = static fn (Ground $ground): array => array_map(static fn (Breach $b): Rule => $b->rule,
            $ground->against($ground->garden->beds[0], $stay));

        self::assertSame([], $rules($retired($radish->clear->plus(1)->iso())), 'cleared the day before');
        self::assertSame([Rule::Retired], $rules($retired($radish->clear->iso())));
        self::assertTrue(Rule::Retired->isHard());
    }

    /** Three field beds; by the rules A1 rests for two years, and A3 is none for radishes. */
    private static function garden(bool $isRuled): Garden
    {
        $rest = new RestingBed(Period::fromFirstToLast(Day::parse('2026-01-01'), Day::parse('2027-12-31')));
        $rules = new PlanRules(resting: ['A1' => [$rest]], notHere: [new NotHere('radish', 'A3')]);
        $garden = LittleGarden::on('2026-05-01', [], ['2026-06-20' => 60]);

        return $isRuled ? $garden->set($garden->settings->ruledBy($rules)) : $garden;
    }

    /** @return list<string> field beds, each once */
    private static function beds(Planting ...$plantings): array
    {
        $beds = [];
        foreach ($plantings as $planting) {
            foreach ($planting->pieces as $piece) {
                $beds[$piece->bed] = $piece->bed;
            }
        }
        unset($beds['T1']);
        sort($beds);

        return $beds;
    }
}
