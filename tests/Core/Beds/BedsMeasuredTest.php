<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Beds;

use JollyFurrow\Beds\Placing;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Garden\Weights;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Succession\ItemPlan;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Ways\Candidate;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** How well beds are packed when the plan fills them to the last metre: the measures of the design, soft rotation off. */
final class BedsMeasuredTest extends TestCase
{
    private const STEP = 6.25;

    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    public function testLittleIsLostAndFewPiecesAreMade(int $seed): void
    {
        $plan = self::full($seed, 40);
        $placing = self::placed(self::garden(40), $plan);
        $planned = $lost = 0.0;
        foreach ($plan->successions as ['candidate' => $c, 'steps' => $steps, 'end' => $end]) {
            $planned += $steps * self::STEP * ($end - $c->bedStart + 1);
        }
        foreach ($placing->unplaced() as $one) {
            $lost += $one->metres * ($one->candidate->lastField - $one->candidate->bedStart + 1);
        }

        self::assertLessThanOrEqual(0.015, $lost / $planned, 'lost share at a full peak');
        self::assertLessThanOrEqual(1.13, self::pieces($placing), 'pieces, where not a metre is left over');
        self::assertLessThanOrEqual(1.1, self::pieces(self::placed(self::garden(40), self::full($seed, 36))), 'pieces, where a tenth is');
    }

    /** Times the fewest there could be. */
    private static function pieces(Placing $placing): float
    {
        return array_sum(array_map(static fn (Planting $p): int => \count($p->pieces),
            $placing->new())) / array_sum(array_map(static fn (Planting $p): int => (int) ceil($p->length()->metres() / 25 - 1e-9),
                $placing->new()));
    }

    public function testOneBedMoreOrThreeInAHundredTakeEverything(): void
    {
        $plan = self::full(4, 40);
        for ($beds = 40; [] !== self::placed(self::garden($beds), $plan)->unplaced(); ++$beds) {
        }

        self::assertLessThanOrEqual(41, $beds);
    }

    /** Every metre of the beds is taken at the peak, and nowhere more. */
    private static function full(int $seed, int $beds): ItemPlan
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $use = [];
        $all = [];
        for ($missed = 0; $missed < 400;) {
            $start = 20000 + $chance->getInt(0, 160);
            $end = $start + $chance->getInt(35, 110);
            $steps = $chance->getInt(1, 6);
            $most = 0.0;
            for ($day = $start; $day <= $end; ++$day) {
                $most = max($most, $use[$day] ?? 0.0);
            }
            $steps = min($steps, (int) floor(($beds * 25 - $most) / self::STEP + 1e-9));
            if ($steps < 1) {
                ++$missed;
                continue;
            }
            for ($day = $start; $day <= $end; ++$day) {
                $use[$day] = ($use[$day] ?? 0.0) + $steps * self::STEP;
            }
            $all[] = ['candidate' => new Candidate('lettuce-head', Method::Sown, PlaceType::Field, 'compost-mulch', $start + 5,
                $start + 5, $start, $end - 10, $end, 1.0, 0.0, 0.0, []), 'steps' => $steps, 'end' => $end];
        }

        return new ItemPlan($all, 0.0);
    }

    private static function placed(Garden $garden, ItemPlan $plan): Placing
    {
        $placing = new Placing($garden, Book::crops(), Book::recipes(), Grid::of($garden), []);
        $placing->place(['lettuce-head' => $plan]);

        return $placing;
    }

    private static function garden(int $count): Garden
    {
        $beds = array_map(static fn (int $i): Bed => new Bed('A'.$i, 'A', $i, Length::fromMetres(25), Length::fromCentimetres(75),
            Length::fromCentimetres(45), PlaceType::Field), range(1, $count));
        $settings = Settings::usual();
        $s = $settings->ruledBy(new \JollyFurrow\Garden\PlanRules(weights: Weights::of(['gap' => 0.0])));

        return new Garden('G', Day::of(19990), new Place('P', 47, 0, MonthDay::parse('05-10'), MonthDay::parse('10-10')),
            new Settings($s->units, $s->currency, $s->sowingDays, $s->recipe, $s->rent, $s->shortageFactor, $s->keepingShare, $s->wage,
                ['field' => 0, 'tunnel' => 0, 'heated' => 0], $s->compostDepth, $s->nitrogenRate, $s->fertiliserNitrogen, [], $s->rules),
            ['A'], $beds, [], [], [], [], []);
    }
}
