<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Keep;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Keep\KeepReason;
use JollyFurrow\Message\Message;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class HoldingsTest extends TestCase
{
    /** Storage carrots keep 210 to 270 days at their best, 210 by the book's own reckoning held within them; 30 are gone. */
    public function testTheLastGoodDays(): void
    {
        $one = self::one([Stores::cold()], [Stores::lot('carrot-storage', '2026-10-01', 5_000)], [], '2026-10-31');

        self::assertSame(['2027-04-29', '2027-04-29', '2027-06-28'], [$one->early->iso(), $one->likely->iso(), $one->late->iso()]);
        self::assertEqualsWithDelta([30 / 210, 1.0, 0.5], [$one->spent, $one->rate, $one->crates()], 1e-9);
    }

    /** Twenty days at 10 degrees use up fifty; then in the cold room the 160 that are left. */
    public function testMovedFromAWarmRoom(): void
    {
        $lot = Stores::lot('carrot-storage', '2026-10-01', 5_000, 'dry');
        $moved = Stores::handling($lot, '2026-10-21', HandlingKind::Moved, 5_000, 'dry', 'cold');
        $one = self::one([Stores::cold(), new StorePlace('dry', 'Barn', Stores::dry()->kind, 10.0, 96)], [$lot], [$moved], '2026-10-21');

        self::assertSame('cold', $one->place->key);
        self::assertSame(Day::parse('2026-10-21')->plus(160)->iso(), $one->likely->iso());
    }

    /** A logger's warm days count as they were, not as the room is meant to be. */
    public function testTheLoggerIsBelieved(): void
    {
        $days = array_map(static fn (int $n): PlaceDay => new PlaceDay('cold', Day::parse('2026-10-01')->plus($n), 10.0, 8.0, 12.0),
            range(0, 9));
        $one = self::one([Stores::cold()], [Stores::lot('carrot-storage', '2026-10-01', 5_000)], [], '2026-10-21', $days);

        self::assertSame(Day::parse('2026-10-21')->plus(210 - 25 - 10)->iso(), $one->likely->iso());
    }

    /** Two cold nights after it was ripe, muddy, too warm: each is said; the reasons are those of its room and its harvest. */
    public function testWhyNotLonger(): void
    {
        $squash = LittleGarden::lettuce('2026-05-20');
        $lot = new HarvestLot('a', Day::parse('2026-10-03'), 'squash-winter', 'squash-winter', $squash->key, 'A2', Grade::First, 1_000,
            flaws: [Flaw::Muddy], place: 'dry');
        $garden = self::garden([Stores::dry(18.0, 80)], [$lot], [], '2026-10-10')->with([$squash]);
        $nights = [];
        for ($n = $squash->ready->number; $n < $lot->day->number; ++$n) {
            $nights[] = [$n, $n < $lot->day->number - 2 ? 12.0 : 4.0, 20.0, 0.0];
        }
        $one = Holdings::of($garden->on($garden->today, DailyRecord::fromRows($nights)), Book::crops())->all[0];

        self::assertSame(['cold-nights nights=2', 'came-in flaw=muddy', 'too-warm is=18 degC best=13 degC', 'too-damp is=80 % best=60 %',
            'not-yet from=2026-11-02'], array_map(static fn (Message $m): string => $m->logged(), $one->reasons));
    }

    public function testTomatoesBesideCucumbers(): void
    {
        $all = Holdings::of(self::garden([Stores::cold()], [Stores::lot('tomato', '2026-08-01', 100), Stores::lot('cucumber', '2026-08-01',
            100)], [], '2026-08-02'), Book::crops())->all;
        $gas = array_values(array_filter($all, static fn (Holding $h): bool => [] !== array_filter($h->reasons,
            static fn (Message $m): bool => KeepReason::BesideGas === $m->code)));

        self::assertSame(['cucumber'], array_map(static fn (Holding $h): string => $h->lot->item, $gas));
    }

    /**
     * @param list<StorePlace> $places
     * @param list<HarvestLot> $lots
     * @param list<Handling>   $handlings
     * @param list<PlaceDay>   $days
     */
    private static function one(array $places, array $lots, array $handlings, string $today, array $days = []): Holding
    {
        return Holdings::of(self::garden($places, $lots, $handlings, $today, $days), Book::crops())->all[0];
    }

    /**
     * @param list<StorePlace> $places
     * @param list<HarvestLot> $lots
     * @param list<Handling>   $handlings
     * @param list<PlaceDay>   $days
     */
    private static function garden(array $places, array $lots, array $handlings, string $today, array $days = []): Garden
    {
        return LittleGarden::on($today)->storing(new StoreBook($places, $lots, $handlings, $days, Stores::keeping()));
    }
}
