<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Hand;

use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class ByHandTest extends TestCase
{
    private ByHand $hand;

    protected function setUp(): void
    {
        $this->hand = new ByHand(Book::crops(), Book::recipes());
    }

    public function testAnotherSowingDayMovesEverythingAfterIt(): void
    {
        $moved = $this->hand->sowOn(LittleGarden::on('2026-04-01'), LittleGarden::lettuce('2026-04-10'), Day::parse('2026-04-17'));

        self::assertSame(['2026-04-17', '2026-05-15', '2026-05-10', '2026-06-28', '2026-07-05'], self::days($moved));
    }

    /**
     * Lettuce on 60 % of the width that still gives 95 %: 9 heads a metre alone, 10 m: 85.5 heads. Twice said is said once;
     * another share of 40 % fits beside it, one of 50 % does not.
     */
    public function testTwoCropsShareABed(): void
    {
        $lettuce = LittleGarden::lettuce('2026-04-10');
        $garden = LittleGarden::on('2026-04-01', [$lettuce]);
        $shared = $this->hand->sharing($garden, $lettuce, 0.6, 0.95);
        $again = $this->hand->sharing($garden->with([$shared]), $shared, 0.6, 0.95);

        self::assertEqualsWithDelta(85.5, $shared->yieldPerMetre() * $shared->bedMetres(), 1e-6);
        self::assertEqualsWithDelta($shared->perMetre, $again->perMetre, 1e-9);
        $beside = static fn (float $share): array => (new Conflicts(Book::crops()))->hard($garden->with([$shared,
            $radish = LittleGarden::radish('2026-05-20', 'A2')->but(pieces: [Stretch::of('A2', 0, 5_000_000, $share)])]), $radish->key);
        self::assertSame([], $beside(0.4));
        self::assertNotSame([], $beside(0.5));
    }

    public function testPlantingOutLaterLeavesTheSowingDay(): void
    {
        $moved = $this->hand->intoGroundOn(LittleGarden::on('2026-04-20'), LittleGarden::lettuce('2026-04-10',
            standing: Standing::InNursery), Day::parse('2026-05-12'));

        self::assertSame(['2026-04-10', '2026-05-12', '2026-05-07', '2026-06-25', '2026-07-02'], self::days($moved));
        $this->expectException(CannotBeDone::class);
        $this->hand->intoGroundOn(LittleGarden::on('2026-04-20'), $moved, Day::parse('2026-04-01'));
    }

    /** Into a tunnel it has the tunnel's days, and back in the field those of the field again; a share of the width stays one. */
    public function testBetweenFieldAndTunnelItGetsTheDaysOfThePlace(): void
    {
        $garden = LittleGarden::timed('2026-03-20');
        $field = $this->hand->sowOn($garden, LittleGarden::radish('2026-03-25')->but(pieces: [Stretch::of('A1', 0, 5_000_000, 0.5)]),
            Day::parse('2026-03-25'));
        $tunnel = $this->hand->onto($garden, $field, 'T1', null);

        self::assertSame(['tunnel', 0.5], [$tunnel->place->value, $tunnel->pieces[0]->widthShare]);
        self::assertLessThan($field->ready->number - 4, $tunnel->ready->number);
        self::assertSame(self::days($field), self::days($this->hand->onto($garden, $tunnel, 'A1', null)));
        $standing = $this->hand->onto($garden, $field->but(standing: Standing::Growing), 'T1', 3_000_000);
        self::assertSame($tunnel->ready->iso(), $standing->ready->iso(), 'what stands already too');
    }

    /** A bed twice as wide holds more rows and gives as much more a metre. */
    public function testOnABedOfAnotherWidthAMetreGivesMore(): void
    {
        $garden = LittleGarden::on('2026-04-01');
        $wide = new Bed('W1', 'A', 9, Length::fromMetres(20), Length::fromCentimetres(150), Length::fromCentimetres(45), PlaceType::Field);
        $radish = LittleGarden::radish('2026-04-10');
        $crop = Book::crops()->get('radish');

        self::assertEqualsWithDelta($radish->perMetre * $crop->perMetreOn($wide->width) / $crop->perMetreOn(Length::fromCentimetres(75)),
            $this->hand->onto($garden->onBeds([...$garden->beds, $wide]), $radish, 'W1', null)->perMetre, 0.001);
        self::assertSame($radish->perMetre, $this->hand->onto($garden, $radish, 'A2', null)->perMetre);
    }

    public function testABedIsNotClearedBeforeTheHarvest(): void
    {
        $radish = LittleGarden::radish('2026-04-10');

        self::assertSame('2026-05-12', $this->hand->until($radish, Day::parse('2026-05-12'))->clear->iso());
        $this->expectExceptionMessage('cleared-before-ready day=2026-05-10');
        $this->hand->until($radish, Day::parse('2026-05-09'));
    }

    public function testAnotherBedTakesItInOnePieceWhereThereIsRoom(): void
    {
        $radish = LittleGarden::radish('2026-04-10', to: 15_000_000);
        $garden = LittleGarden::on('2026-04-01', [$radish, LittleGarden::radish('2026-04-12', 'A2', 0, 12_000_000),
            LittleGarden::radish('2026-04-12', 'A3', 2_000_000, 4_000_000, number: 2)]);

        self::assertEquals([4_000_000, 19_000_000], [$this->hand->onto($garden, $radish, 'A3', null)->pieces[0]->from,
            $this->hand->onto($garden, $radish, 'A3', null)->pieces[0]->to]);
        self::assertSame('tunnel', $this->hand->onto($garden, $radish, 'T1', null)->place->value);
        $this->expectExceptionMessage('no-room bed=A2 wanted=15 m most=8 m');
        $this->hand->onto($garden, $radish, 'A2', null);
    }

    public function testLongerAndShorterAtTheTail(): void
    {
        [$first, $second] = $this->hand->split(LittleGarden::on('2026-04-01'), LittleGarden::radish('2026-04-10', to: 10_000_000),
            4_000_000);
        $two = $first->but(pieces: [...$first->pieces, ...LittleGarden::radish('2026-04-10', 'A3', 0, 3_000_000)->pieces]);

        self::assertSame(9_000_000, $this->hand->asLongAs($two, 9_000_000)->length()->micrometres);
        self::assertSame(['A1', 2_500_000], [$this->hand->asLongAs($two, 2_500_000)->pieces[0]->bed, $this->hand->asLongAs($two,
            2_500_000)->length()->micrometres]);
        self::assertCount(1, $this->hand->asLongAs($two, 4_000_000)->pieces);
        self::assertSame([4_000_000, 10_000_000, 'radish@2026-04-10#1'], [$second->pieces[0]->from, $second->pieces[0]->to, $second->key]);
        $this->expectException(CannotBeDone::class);
        $this->hand->asLongAs($two, 0);
    }

    public function testTheTwoPartsOfASplitHaveNamesOfTheirOwn(): void
    {
        $radish = LittleGarden::radish('2026-04-10');
        [$first, $second] = $this->hand->split(LittleGarden::on('2026-04-01', [$radish]), $radish, 2_000_000);

        self::assertSame(['radish@2026-04-10#1', 'radish@2026-04-10#2'], [$first->key, $second->key]);
        self::assertSame(5_000_000, $first->length()->micrometres + $second->length()->micrometres);
        $this->expectExceptionMessage('piece-too-long length=5 m');
        $this->hand->split(LittleGarden::on('2026-04-01', [$radish]), $radish, 5_000_000);
    }

    public function testOnceMoreIsANewPlannedPlanting(): void
    {
        $radish = LittleGarden::radish('2026-04-10', standing: Standing::Cleared);
        $copy = $this->hand->again(LittleGarden::on('2026-05-01', [$radish]), $radish, Day::parse('2026-05-08'), 'A1');

        self::assertSame(['radish@2026-05-08#1', Standing::Planned, '2026-06-07'], [$copy->key, $copy->standing, $copy->ready->iso()]);
    }

    /** @return list<string> */
    private static function days(Planting $p): array
    {
        return array_map(static fn (Day $d): string => $d->iso(), [$p->sow, $p->ground, $p->bedStart, $p->ready, $p->clear]);
    }
}
