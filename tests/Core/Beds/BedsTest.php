<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Beds;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Beds\BedOffer;
use JollyFurrow\Beds\Ground;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Ways\Candidate;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class BedsTest extends TestCase
{
    public function testTakesTheFirstBedThatKeepsTheFamilyGap(): void
    {
        $garden = self::garden(3, [self::past('A1', 'broccoli', '2025-09-01')]);

        self::assertSame(['A2 0-12500000'], self::found($garden, 'kale', 12_500_000));
        self::assertSame(['A1 0-12500000'], self::found($garden, 'lettuce-head', 12_500_000));
    }

    public function testThreeYearsAreEnough(): void
    {
        $garden = self::garden(1, [self::past('A1', 'broccoli', '2023-04-01')]);

        self::assertSame([], self::offer($garden, 'kale', 25_000_000)->breaches);
    }

    public function testABreachIsTakenWhereThereIsNoOtherWayAndTold(): void
    {
        $garden = self::garden(1, [self::past('A1', 'broccoli', '2025-09-01')]);

        self::assertSame(['family-too-soon family=Cabbage bed=A1 apart=226 span other=Broccoli years=3'], array_map(Said::of(...),
            self::offer($garden, 'kale', 25_000_000)->remarks()));
    }

    public function testPiecesWhenNoBedTakesItWhole(): void
    {
        self::assertSame(['A1 0-25000000', 'A2 0-12500000'], self::found(self::garden(2), 'kale', 37_500_000));
    }

    public function testAsMuchAsThereIs(): void
    {
        self::assertSame(['A1 0-25000000', 'A2 0-25000000'], self::found(self::garden(2), 'kale', 60_000_000));
    }

    public function testNeverTheWrongPlace(): void
    {
        self::assertSame([], self::found(self::garden(2, [], PlaceType::Tunnel), 'kale', 6_250_000));
    }

    /**
     * What stands keeps its stretch from its first day of preparation to its last, both included.
     *
     * @param list<array{int, int}> $free
     */
    #[TestWith(['2026-04-01', '2026-04-09', [[0, 20_000_000]]])]
    #[TestWith(['2026-04-01', '2026-04-10', [[5_000_000, 20_000_000]]])]
    #[TestWith(['2026-05-21', '2026-06-30', [[5_000_000, 20_000_000]]])]
    #[TestWith(['2026-05-22', '2026-06-30', [[0, 20_000_000]]])]
    public function testNoTwoCropsOnOneStretch(string $from, string $until, array $free): void
    {
        $radish = LittleGarden::radish('2026-04-15');
        self::assertSame(['2026-04-10', '2026-05-21'], [$radish->bedStart->iso(), $radish->clear->iso()]);
        $garden = LittleGarden::on('2026-03-02', [$radish]);
        $ground = Ground::under($garden, Book::crops(), $garden->plantings);

        self::assertSame($free, $ground->free($garden->beds[0], Day::parse($from)->number, Day::parse($until)->number));
    }

    /** @return list<string> */
    private static function found(Garden $garden, string $item, int $micrometres): array
    {
        return array_map(static fn (Stretch $s): string => $s->bed.' '.$s->from.'-'.$s->to, self::offer($garden, $item,
            $micrometres)->pieces);
    }

    private static function offer(Garden $garden, string $item, int $micrometres): BedOffer
    {
        $day = Day::parse('2026-04-20')->number;

        return (new BedChoice($garden, Book::crops(), Book::recipes(), Grid::of($garden)))->offer(new Candidate($item, Method::Sown,
            PlaceType::Field, 'compost-mulch', $day, $day, $day - 5, $day + 50, $day + 80, 1.0, 0.0, 0.0, []), $micrometres, $day + 80);
    }

    /** @param list<PastCrop> $history */
    private static function garden(int $count, array $history = [], PlaceType $place = PlaceType::Field): Garden
    {
        $beds = array_map(static fn (int $i): Bed => new Bed('A'.$i, 'A', $i, Length::fromMetres(25), Length::fromCentimetres(75),
            Length::fromCentimetres(45), $place), range(1, $count));

        return new Garden('G', Day::parse('2026-03-02'), new Place('P', 47, 0, MonthDay::parse('05-10'), MonthDay::parse('10-10')),
            Settings::usual(), ['A'], $beds, $history, [], [], [], []);
    }

    private static function past(string $bed, string $crop, string $cleared): PastCrop
    {
        return new PastCrop(Stretch::of($bed, 0, 25_000_000), $crop, Day::parse($cleared));
    }
}
