<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Recipe;

use JollyFurrow\Climate\WetOdds;
use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\DatedStep;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\BedSeason;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeRules;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\Source;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RecipeTest extends TestCase
{
    private static function leads(): Leads
    {
        return new Leads(LittleGarden::on('2026-03-02'));
    }

    private static function planting(string $ground, float $metres): Planting
    {
        $day = Day::parse($ground);

        return new Planting('kale@'.$ground.'#1', 'kale', Method::Sown, PlaceType::Field, 'compost-mulch', $day, $day, $day->plus(-5),
            $day->plus(60), $day->plus(80), 1.0, [Stretch::of('A1', 0, Length::fromMetres($metres)->micrometres)], Standing::Planned,
            false);
    }

    public function testStepsAreDatedBackwardsAndTimedByLength(): void
    {
        $steps = self::leads()->dated(Book::recipes()->get('tarp-shallow-till'), self::planting('2026-05-19', 12.5));

        self::assertSame(['2026-04-14', '2026-05-18'], array_map(static fn (DatedStep $s): string => $s->day->iso(), $steps));
        self::assertSame([0.25, 0.5], array_map(static fn (DatedStep $s): float => $s->hours->value, $steps));
    }

    #[TestWith(['2026-10-31', 46.9, BedSeason::Warm])]
    #[TestWith(['2026-11-01', 46.9, BedSeason::Cold])]
    #[TestWith(['2026-03-15', 46.9, BedSeason::Cold])]
    #[TestWith(['2026-03-16', 46.9, BedSeason::Spring])]
    #[TestWith(['2026-05-16', 46.9, BedSeason::Warm])]
    #[TestWith(['2026-01-10', -40.0, BedSeason::Warm])]
    #[TestWith(['2026-07-10', -40.0, BedSeason::Cold])]
    #[TestWith(['2026-10-10', -40.0, BedSeason::Spring])]
    public function testTheTimeOfTheYearIsThatOfThePlace(string $day, float $latitude, BedSeason $season): void
    {
        self::assertSame($season, BedSeason::on(Day::parse($day), $latitude));
    }

    public function testTheColdTakesLongerAndThePlanTakesTheBedSooner(): void
    {
        $recipe = self::recipe(new Step('Lay', 35, 1.0, 'tarp', '', '', 42, 63, lays: Kit::Tarp), new Step('Lift', 3, 1.0, 'tarp', '',
            '', lifts: Kit::Tarp));

        self::assertSame([35, 42, 63], array_map(static fn (string $day): int => self::leads()->days($recipe, Day::parse($day)),
            ['2026-07-01', '2026-04-20', '2027-01-10']));
    }

    /** Own model: so many days in hand that a longer wet spell comes one time in five; only for work that wants dry soil. */
    public function testAReserveForWetSpellsLiesBeforeDryWork(): void
    {
        $leads = new Leads(LittleGarden::timed('2026-03-02'));
        $dry = self::recipe(new Step('Clear', 10, 1.0, 'hoe', '', ''), new Step('Harrow', 2, 1.0, 'power harrow', '', '',
            needsDry: true), new Step('Rake', 1, 1.0, 'rake', '', ''));
        $odds = WetOdds::on(Larkspur::climate(), Day::parse('2026-06-10'));
        $reserve = $leads->reserve($dry, Day::parse('2026-06-10'));

        self::assertGreaterThan(0, $reserve);
        self::assertLessThanOrEqual(0.2, $odds ** ($reserve + 1));
        self::assertGreaterThan(0.2, $odds ** $reserve);
        self::assertSame([10 + $reserve, 2 + $reserve, 1],
            array_map(static fn (DatedStep $s): int => Day::parse('2026-06-10')->since($s->day), $leads->dated($dry, self::planting('2026-06-10', 10.0))));
        self::assertSame(0, self::leads()->reserve($dry, Day::parse('2026-06-10')), 'the rain of the place is not known');
        self::assertSame(0, $leads->reserve(self::recipe(new Step('Rake', 3, 1.0, 'rake', '', '')), Day::parse('2026-06-10')));
    }

    /** @return iterable<string, array{list<Step>, int, string, string}> */
    public static function contradictions(): iterable
    {
        $step = static fn (string $name, int $lead, string $tool = 'rake', ?int $spring = null, ?int $cold = null, ?Kit $lays = null,
            ?Kit $lifts = null): Step => new Step($name, $lead, 1.0, $tool, '', '', $spring, $cold, false, $lays, $lifts);
        yield 'no step' => [[], -1, 'steps', 'at least one step'];
        yield 'negative lead' => [[$step('Rake', -2)], 0, 'lead', 'begins from 0'];
        yield 'a lead of years' => [[$step('Rake', 2, 'rake', 2, 900)], 0, 'lead', 'begins from 0'];
        yield 'quicker in the cold' => [[$step('Rake', 9, 'rake', 9, 4)], 0, 'lead', 'does not take less time when it is colder'];
        yield 'quicker in spring' => [[$step('Rake', 9, 'rake', 4)], 0, 'lead', 'does not take less time when it is colder'];
        yield 'unknown tool' => [[$step('Rake', 3), $step('Blast', 2, 'cannon')], 1, 'tool', '"cannon" is no tool known here'];
        yield 'one unknown of two' => [[$step('Blast', 2, 'hoe and cannon')], 0, 'tool', '"cannon"'];
        yield 'twice' => [[$step('Rake', 3), $step('Rake', 2)], 1, 'name', 'stands twice'];
        yield 'lifted, never laid' => [[$step('Lift', 3, 'tarp', lifts: Kit::Tarp)], 0, 'lifts', 'that no step lays'];
        yield 'lifted before it is laid' => [[$step('Lay', 3, 'tarp', lays: Kit::Tarp), $step('Lift', 9, 'tarp', lifts: Kit::Tarp)], 1,
            'lead', 'the other way round'];
        yield 'lifted first in the cold' => [[$step('Lay', 12, 'tarp', lays: Kit::Tarp), $step('Lift', 3, 'tarp', 3, 30,
            lifts: Kit::Tarp)], 1, 'lead', 'in the cold'];
    }

    /** @param list<Step> $steps */
    #[DataProvider('contradictions')]
    public function testStepsThatContradictEachOtherAreToldAtTheStep(array $steps, int $at, string $field, string $message): void
    {
        $faults = RecipeRules::faults($steps);

        self::assertNotSame([], $faults);
        self::assertSame([$at, $field], [$faults[0][0], $faults[0][1]]);
        self::assertStringContainsString($message, $faults[0][2]);
    }

    private static function recipe(Step ...$steps): Recipe
    {
        return new Recipe('r', 'R', 'mulch', true, [] === $steps ? [new Step('Rake', 1, 1.0, 'rake', '', '')] : array_values($steps),
            Source::practice());
    }
}
