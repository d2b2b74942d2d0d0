<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Pick;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Load\LoadList;
use JollyFurrow\Load\LoadProducts;
use JollyFurrow\Measure\Money;
use JollyFurrow\Pick\Cooling;
use JollyFurrow\Pick\MixLine;
use JollyFurrow\Pick\PickLine;
use JollyFurrow\Pick\PickList;
use JollyFurrow\Pick\PickTable;
use JollyFurrow\Pick\PickTraits;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MixRule;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;
use PHPUnit\Framework\TestCase;

/**
 * Pairs of a bunch of radishes and a head of lettuce for the stall of 11 April, twenty of them. Eleven radishes stand (ten packed),
 * ninety heads of lettuce. Six of a hundred are lost in packing, by the book.
 */
final class MixFillTest extends TestCase
{
    public function testWithoutARuleItIsShort(): void
    {
        $list = self::of(self::garden(null));

        self::assertSame([], $list->mixes);
        self::assertSame(['radish'], array_map(static fn ($s): string => $s->crop->item(), $list->short));
    }

    /** At least a fifth of each: ten radishes and thirty heads make forty. What is short of radish is no shortage of the mix. */
    public function testTheOtherMakesUpForIt(): void
    {
        $list = self::of(self::garden(new MixRule('pair', false, ['radish' => [0.2, 0.8], 'lettuce-head' => [0.2, 0.8]])));
        $picked = array_column(array_map(static fn (PickLine $l): array => [$l->planting->item, $l->units], $list->lines), 1, 0);
        $mix = $list->on(Day::parse('2026-04-11'))->mixes[0];

        self::assertSame(['stall', 20, 20, null], [$mix->outlet, $mix->wanted, $mix->made, $mix->without]);
        self::assertEqualsWithDelta(40.0, array_sum($mix->of), 1e-9);
        self::assertSame(11, $picked['radish']);
        self::assertSame((int) ceil($mix->of['lettuce-head'] / (1 - Book::crops()->get('lettuce-head')->produce->packingLoss)), self::all(
            $list, 'lettuce-head'));
        self::assertSame([], $list->short);
        self::assertSame([], $list->on(Day::parse('2026-04-18'))->mixes);
    }

    /** At least four tenths radishes: of ten that is 25 in all, twelve pairs. */
    public function testWithinItsBoundsOnly(): void
    {
        $list = self::of(self::garden(new MixRule('pair', false, ['radish' => [0.4, 0.8], 'lettuce-head' => [0.2, 0.8]])));

        self::assertSame([20, 12], [$list->mixes[0]->wanted, $list->mixes[0]->made]);
        self::assertEqualsWithDelta(0.41, $list->mixes[0]->share('radish'), 0.02);
    }

    /** Of sixty heads 44 are promised; of the other sixteen who is served first takes ten, and six are left for the next. */
    public function testTheOutletServedFirstHasItFirst(): void
    {
        $made = array_map(static fn (MixLine $m): array => [$m->outlet, $m->made], self::of(self::garden(new MixRule('pair', true), true,
            6_667_000))->mixes);

        self::assertSame([['shop', 20], ['stall', 13]], $made);
    }

    public function testWhatIsLoadedAsWhichProduct(): void
    {
        $garden = self::garden(new MixRule('pair', true));
        $list = self::of($garden)->on(Day::parse('2026-04-11'));
        $load = LoadList::all($garden, Book::crops(), $list)[0];
        $lines = LoadProducts::of($garden, Book::crops(), $load, Day::parse('2026-04-11'));

        self::assertSame([['pair', 20, 20, ['A1', 'A2']]], array_map(static fn ($l): array => [$l->product->key, $l->wanted, $l->units,
            $l->from], $lines));
    }

    private static function all(PickList $list, string $item): int
    {
        return array_sum(array_map(static fn (PickLine $l): int => $l->planting->item === $item ? $l->units : 0, $list->lines));
    }

    private static function garden(?MixRule $rule, bool $hasShop = false, int $lettuce = 10_000_000): Garden
    {
        $g = LittleGarden::on('2026-04-10', [
            LittleGarden::radish('2026-03-08', standing: Standing::Growing)->but(pieces: [Stretch::of('A1', 0, 1_000_000)]),
            LittleGarden::lettuce('2026-01-25', to: $lettuce, standing: Standing::Growing)]);
        $pair = new Product('pair', 'Pair', 'pair', Money::fromCents(400), [new Part('radish', 1.0), new Part('lettuce-head', 1.0)]);
        $day = Day::parse('2026-04-11');
        $outlets = $hasShop ? [...$g->outlets, new Outlet('shop', 'Shop', Weekday::Saturday, 0, 3, 3)] : $g->outlets;

        return new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], $outlets, [...$g->products, $pair],
            array_map(static fn (Outlet $o): Promise => new Promise($o->key, 'pair', $day, 20.0), $outlets), $g->plantings,
            store: new StoreBook([Stores::cold()], [], [], [], Stores::keeping()), market: new MarketBook(mixes: null === $rule ? []
                : [$rule]));
    }

    private static function of(Garden $garden): PickList
    {
        return PickList::of($garden, Book::crops(), new PickTable([new PickTraits('roots', ['radish'], 70, 60, Cooling::ColdWater, true)]),
            []);
    }
}
