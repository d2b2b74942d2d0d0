<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Store\Standpoint;
use App\Tests\Support\AppCase;
use App\Wall\Scale;
use App\Wall\Strip;
use App\Wall\SupplyStrip;
use App\Wall\WallDrawing;
use App\Wording\MonthTick;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Time\Day;

/** The pictures hold what the numbers say. */
final class DrawingTest extends AppCase
{
    public function testTimeRunsAcrossToScale(): void
    {
        $scale = Scale::from(Day::parse('2026-03-01'), 52);

        self::assertSame(0.0, $scale->x(Day::parse('2026-02-23')->number));
        self::assertEqualsWithDelta(22.5,
            $scale->x(Day::parse('2026-03-09')->number) - $scale->x(Day::parse('2026-03-02')->number), 0.05);
        self::assertSame($scale->width(), $scale->x(Day::parse('2030-01-01')->number));
    }

    public function testAPieceIsDrawnAtItsPlaceAndThicknessInTheBed(): void
    {
        $strips = $this->strips([[0, 12_500_000], [12_500_000, 18_750_000], [18_750_000, 25_000_000]]);
        $tops = array_map(static fn (Strip $s): float => $s->frame['y'], $strips);
        $heights = array_map(static fn (Strip $s): float => $s->frame['h'], $strips);

        self::assertEqualsWithDelta([Strip::BED / 2 - 1, Strip::BED / 4 - 1, Strip::BED / 4 - 1], $heights, 0.11);
        self::assertGreaterThan($tops[1], $tops[0]);
        self::assertGreaterThan($tops[2], $tops[1]);
        self::assertEqualsWithDelta(Strip::HEAD + 1, $tops[2], 0.11);
    }

    public function testLabelsThatWouldCoverOneAnotherGiveWay(): void
    {
        $quarters = $this->strips([[0, 6_250_000], [6_250_000, 12_500_000], [12_500_000, 18_750_000], [18_750_000, 25_000_000]]);

        self::assertTrue($quarters[0]->labelMeets($quarters[1]));
        self::assertFalse($quarters[0]->labelMeets($quarters[2]));
    }

    public function testFreeMetresAreWhatNothingStandsOn(): void
    {
        $this->post($this->path('/plan'), []);
        $garden = $this->snapshot();
        foreach ($this->service(SupplyStrip::class)->free($garden, PlaceType::Field, Scale::from(Day::parse('2026-03-01'), 52)) as $week) {
            $busiest = 0.0;
            for ($day = $week['monday']->number; $day < $week['monday']->number + 7; ++$day) {
                $standing = array_filter($garden->plantings->all(), static fn (Planting $p): bool => $p->bedStart->number <= $day
                    && $day <= $p->clear->number);
                $busiest = max($busiest, array_sum(array_map(static fn (Planting $p): float => $p->length()->metres(), $standing)));
            }
            self::assertEqualsWithDelta(75.0 - $busiest, $week['free'], 1e-6, $week['label']);
        }
    }

    /** Lettuce for the mix is there, arugula is not: no bag of the mix can be filled. With both, all can. */
    public function testSupplyOfAMixIsItsScarcestPart(): void
    {
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-01',
            'q' => ['mix' => [(string) Day::parse('2026-06-03')->number => '10']], 'price' => []]);
        $this->post($this->path('/plan/one-more'), ['item' => 'lettuce-leaf', 'sow' => '2026-05-01', 'place' => 'field',
            'method' => 'sown']);
        [$lettuce, $bags] = $this->servedOfTheMix();
        self::assertSame([11, 0.0], [$lettuce, $bags]);

        $this->post($this->path('/plan/one-more'), ['item' => 'arugula', 'sow' => '2026-05-01', 'place' => 'field', 'method' => 'sown']);
        self::assertSame([11, 10.0], $this->servedOfTheMix());
    }

    /** @return array{int, float} units of lettuce served, bags of the mix covered */
    private function servedOfTheMix(): array
    {
        $stand = Standpoint::of($this->garden, $this->service(\App\Store\Snapshot::class), $this->service(Planner::class),
            $this->service(CropBook::class));
        $weeks = $this->service(SupplyStrip::class)->weeks($stand->garden, $stand->plan, $stand->garden->products[1]);
        self::assertCount(1, $weeks);
        self::assertSame(10.0, $weeks[0]['served'] + $weeks[0]['short']);

        return [array_sum($stand->plan->served['lettuce-leaf']), $weeks[0]['served']];
    }

    public function testBarsStandOnTheBaseAndReachThePromise(): void
    {
        $weeks = [['monday' => Day::parse('2026-06-01'), 'label' => '2026-W23', 'promised' => 40.0, 'served' => 30.0, 'short' => 10.0],
            ['monday' => Day::parse('2026-06-08'), 'label' => '2026-W24', 'promised' => 20.0, 'served' => 20.0, 'short' => 0.0]];
        $drawing = $this->service(SupplyStrip::class)->drawing($weeks, Scale::from(Day::parse('2026-03-01'), 52));
        $bars = $drawing['bars'];

        self::assertSame([[0.0, 13.0, 39.0, 13.0, '-10'], [26.0, 26.0, 26.0, 0.0, '']],
            array_map(static fn (array $b): array => [$b['line'], $b['top'], $b['h'], $b['missing'], $b['short']], $bars));
    }

    /** By heat and light a ridge rises fast in warm weeks and slowly in cold ones; the even one is a straight slope. */
    public function testARidgeRisesAsTheCropDevelops(): void
    {
        $planting = $this->snapshot()->plantings->all()[0]->but(dates: new Dates(Day::parse('2026-07-20'), Day::parse('2026-08-01'),
            Day::parse('2026-07-28'), Day::parse('2026-11-10'), Day::parse('2026-12-01')));
        $ridge = static fn (?Ripening $ripening): array => array_map(static fn (array $p): float => 29.0 * (1 - $p[1]),
            Strip::rise($planting, $ripening));
        $even = $ridge(null);
        $true = $ridge((new LocalTiming(Larkspur::weather()))->of($this->service(CropBook::class)->get('leek'), Cover::None));

        self::assertEqualsWithDelta($even[0] - $even[1], $even[3] - $even[4], 0.11);
        self::assertSame([$even[0], $even[4]], [$true[0], $true[6]]);
        self::assertGreaterThan(3 * ($true[5] - $true[6]), $true[0] - $true[1], 'August against late October');
    }

    public function testFrostAndLightStandAboveTheBeds(): void
    {
        $scale = Scale::from(Day::parse('2026-03-01'), 52);
        $axis = $this->service(WallDrawing::class)->axis($this->snapshot(), $scale);

        self::assertIsArray($axis['frost']);
        self::assertSame([true, false, false, true], array_column($axis['frost'], 'likely'));
        self::assertSame(['Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec', 'Jan', 'Feb'],
            array_map(static fn (MonthTick $tick): string => $tick->label, $scale->months()));
        self::assertIsArray($axis['weeks']);
        self::assertContains('52', array_column($axis['weeks'], 'label'));
    }

    /**
     * @param non-empty-list<array{int, int}> $pieces
     *
     * @return list<Strip>
     */
    private function strips(array $pieces): array
    {
        $planting = $this->snapshot()->plantings->all()[0];
        $crop = $this->service(CropBook::class)->get('leek');
        $scale = Scale::from(Day::parse('2025-03-01'), 104);

        return array_map(static fn (array $p): Strip => Strip::of($planting, \JollyFurrow\Land\Stretch::of('A3', $p[0], $p[1]), 25_000_000,
            $crop, 'mulch', 'x', $scale, [], false), $pieces);
    }
}
