<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Hand;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\NotDone;
use JollyFurrow\Hand\Otherwise;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use PHPUnit\Framework\TestCase;

/** Chard out of trays sown on 1 May in the demo garden's climate: as another variety, sown in the bed, on a bed made ready otherwise. */
final class OtherwiseTest extends TestCase
{
    /** Sown on the same day it has no days in the nursery, and stands for less time before it is ready than from the tray. */
    public function testSownInTheBedInsteadOfPlantedOut(): void
    {
        $out = LittleGarden::lettuce('2026-05-01');
        $lettuce = new Planting('chard@2026-05-01#1', 'chard', Method::Transplanted, $out->place, $out->recipe, $out->sow, $out->ground,
            $out->bedStart,
            $out->ready, $out->clear, 3.0, $out->pieces, Standing::Planned, false);
        $garden = LittleGarden::timed('2026-03-02', [$lettuce]);
        $sown = self::otherwise()->byMethod($garden, $lettuce, Method::Sown);

        self::assertSame([Method::Sown, '2026-05-01', '2026-05-01', $lettuce->key], [$sown->method, $sown->sow->iso(),
            $sown->ground->iso(), $sown->key]);
        self::assertSame((new Leads($garden))->daysFor(Book::recipes()->get($sown->recipe), $sown), $sown->ground->since($sown->bedStart));
        $back = self::otherwise()->byMethod($garden, $sown, Method::Transplanted);
        self::assertGreaterThan(14, $back->ground->since($back->sow), 'some weeks in the nursery');
        self::assertEquals((new ByHand(Book::crops(), Book::recipes()))->redate($garden, $back), $back,
            'its days follow by heat and light');
    }

    /** The book has varieties with other days: the days follow, the bed and the key stay. */
    public function testAnotherVariety(): void
    {
        [$item, $other] = self::twoVarieties();
        $garden = LittleGarden::timed('2026-03-02');
        $planting = new Planting($item->key.'@2026-05-05#1', $item->key, $item->methods()[0], LittleGarden::radish('2026-05-05')->place,
            'compost-mulch', ...array_values((array) LittleGarden::radish('2026-05-05')->dates()), perMetre: 1.0,
            pieces: LittleGarden::radish('2026-05-05')->pieces, standing: Standing::Planned, locked: false);
        $new = self::otherwise()->asVariety($garden, $planting, $other->key);

        self::assertSame([$other->key, $item->key, $planting->key, '2026-05-05'], [$new->variety, $new->item, $new->key, $new->sow->iso()]);
        self::assertEqualsWithDelta($other->perMetreOn($garden->beds[0]->width), $new->perMetre, 1e-9);
        self::assertEquals($planting->pieces, $new->pieces);
    }

    /** A slower way takes the bed sooner; what stands in it is ready on the same day. */
    public function testAnotherPreparation(): void
    {
        $radish = LittleGarden::radish('2026-06-09');
        $garden = LittleGarden::timed('2026-03-02', [$radish]);
        $tarped = self::otherwise()->prepared($garden, $radish, 'tarp-shallow-till');

        self::assertSame((new Leads($garden))->daysFor(Book::recipes()->get('tarp-shallow-till'), $tarped),
            $tarped->ground->since($tarped->bedStart));
        self::assertLessThan($radish->bedStart->number, $tarped->bedStart->number);
        self::assertEquals([$radish->ground, $radish->ready, $radish->clear], [$tarped->ground, $tarped->ready, $tarped->clear]);
    }

    public function testWhatIsSownStays(): void
    {
        $garden = LittleGarden::timed('2026-05-10');
        $growing = LittleGarden::radish('2026-05-01', standing: Standing::Growing);
        foreach ([[NotDone::SownAlready, static fn () => self::otherwise()->asVariety($garden, $growing, 'radish')],
            [NotDone::SownAlready, static fn () => self::otherwise()->byMethod($garden, $growing, Method::Sown)],
            [NotDone::InTheGroundAlready, static fn () => self::otherwise()->prepared($garden, $growing, 'tarp-shallow-till')],
            [NotDone::NoSuchVariety, static fn () => self::otherwise()->asVariety($garden, LittleGarden::radish('2026-06-01'), 'kale')],
            [NotDone::NotGrownSo, static fn () => self::otherwise()->byMethod($garden, LittleGarden::radish('2026-06-01'),
                Method::Transplanted)],
            [NotDone::NoSuchRecipe, static fn () => self::otherwise()->prepared($garden, LittleGarden::radish('2026-06-01'),
                'magic')]] as [$why, $do]) {
            try {
                $do();
                self::fail($why->value.' was expected.');
            } catch (CannotBeDone $not) {
                self::assertSame($why, $not->said()->code);
            }
        }
    }

    /** @return array{Crop, Crop} an item and a further variety of it */
    private static function twoVarieties(): array
    {
        foreach (Book::crops()->entries() as $crop) {
            if ($crop->isFurtherVariety() && [] !== array_intersect(array_map(static fn (Method $m): string => $m->value, $crop->methods()),
                array_map(static fn (Method $m): string => $m->value, Book::crops()->get($crop->item())->methods()))) {
                return [Book::crops()->get($crop->item()), $crop];
            }
        }
        self::fail('The book has no further variety.');
    }

    private static function otherwise(): Otherwise
    {
        return new Otherwise(Book::crops(), Book::recipes());
    }
}
