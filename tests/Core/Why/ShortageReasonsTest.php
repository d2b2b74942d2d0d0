<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Why;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Weekday;
use JollyFurrow\Why\Explained;
use JollyFurrow\Why\Explainer;
use JollyFurrow\Why\ShortageReason;
use PHPUnit\Framework\TestCase;

/** Every way a promise can fail, and what is said of it. */
final class ShortageReasonsTest extends TestCase
{
    public function testTooSoonForAnySowing(): void
    {
        self::assertSame([ShortageReason::NoSowing], self::reasons('lettuce-head', '2026-03-18', 10, 4));
    }

    public function testNoPlaceTheCropTakes(): void
    {
        $garden = self::garden('corn', '2026-08-19', 10, 0);
        $tunnel = new Bed('T1', 'A', 1, Length::fromMetres(25), Length::fromCentimetres(75), Length::fromCentimetres(45),
            PlaceType::Tunnel);
        $garden = new Garden('G', $garden->today, $garden->place, $garden->settings, ['A'], [$tunnel], [], $garden->outlets,
            $garden->products, $garden->promises, []);
        $plan = (new Planner(Book::crops(), Book::recipes()))->draw($garden);

        self::assertSame([ShortageReason::NoPlace], array_map(static fn (Explained $e): ShortageReason => $e->reason,
            (new Explainer(Book::crops(), Book::recipes()))->explain($garden, $plan)));
    }

    public function testNoBedIsFree(): void
    {
        [$explained] = self::explained('broccoli', '2026-07-08', 900, 1);

        self::assertSame(ShortageReason::NoBed, $explained->reason);
        self::assertSame(900 + 79 - (int) floor(25 * 4.2), $explained->shortage->units);
    }

    public function testWithoutBedsEverythingIsShortButNothingBreaks(): void
    {
        self::assertSame([ShortageReason::NoPlace], self::reasons('kale', '2026-07-08', 10, 0));
    }

    public function testDearerThanThePromiseIsWorth(): void
    {
        [$explained] = self::explained('scallion', '2026-07-08', 1, 4);

        self::assertSame(ShortageReason::TooDear, $explained->reason);
        self::assertNotNull($explained->mend?->stretch);
    }

    public function testAPerennialCannotBePlantedForThisSeason(): void
    {
        self::assertSame([ShortageReason::Perennial], self::reasons('asparagus', '2026-05-06', 10, 4));
    }

    public function testLookedAtWithoutDrawingItSaysSo(): void
    {
        $garden = self::garden('scallion', '2026-07-08', 30, 4);
        $planner = new Planner(Book::crops(), Book::recipes());

        self::assertSame(ShortageReason::NotPlanned, (new Explainer(Book::crops(), Book::recipes()))->explain($garden,
            $planner->asItStands($garden))[0]->reason);
    }

    public function testWhatIsOverIsNotShort(): void
    {
        self::assertSame([], self::reasons('kale', '2026-02-04', 10, 4));
    }

    public function testTheOutletServedLastGoesShortFirst(): void
    {
        $garden = self::garden('broccoli', '2026-07-08', 70, 1);
        $promises = [...$garden->promises, new Promise('second', 'p', Day::parse('2026-07-08'), 60)];
        $garden = new Garden('G', $garden->today, $garden->place, $garden->settings, $garden->blocks, $garden->beds, [],
            [...$garden->outlets, new Outlet('second', 'Second', Weekday::Wednesday, 2, 4, null)], $garden->products, $promises, []);
        $plan = (new Planner(Book::crops(), Book::recipes()))->draw($garden);

        self::assertSame(['second'], array_values(array_unique(array_map(static fn ($s): string => $s->outlet, $plan->shortages))));
    }

    /** @return list<ShortageReason> */
    private static function reasons(string $item, string $day, int $quantity, int $beds): array
    {
        return array_map(static fn (Explained $e): ShortageReason => $e->reason, self::explained($item, $day, $quantity, $beds));
    }

    /** @return list<Explained> */
    private static function explained(string $item, string $day, int $quantity, int $beds): array
    {
        $garden = self::garden($item, $day, $quantity, $beds);
        $planner = new Planner(Book::crops(), Book::recipes());

        return (new Explainer(Book::crops(), Book::recipes()))->explain($garden, $planner->draw($garden));
    }

    private static function garden(string $item, string $day, int $quantity, int $count): Garden
    {
        $beds = [];
        for ($i = 1; $i <= $count; ++$i) {
            $beds[] = new Bed('A'.$i, 'A', $i, Length::fromMetres(25), Length::fromCentimetres(75), Length::fromCentimetres(45),
                PlaceType::Field);
        }

        return new Garden('G', Day::parse('2026-03-02'), new Place('P', 47, 0, MonthDay::parse('05-10'), MonthDay::parse('10-10')),
            Settings::usual(), ['A'], $beds, [], [new Outlet('o', 'O', Weekday::Wednesday, 1, 4, null)],
            [new Product('p', 'P', 'u', Money::fromCents(200), [new Part($item, 1.0)])],
            [new Promise('o', 'p', Day::parse($day), $quantity)], []);
    }
}
