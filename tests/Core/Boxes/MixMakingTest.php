<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Boxes;

use JollyFurrow\Boxes\MixMaking;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MixRule;
use PHPUnit\Framework\TestCase;

/** Bags of 150 g: 90 g of lettuce, 30 of arugula and 30 of mizuna as a rule. A unit by weight is 100 g. */
final class MixMakingTest extends TestCase
{
    /** 6 units of arugula make 20 bags by fixed shares; within 10 to 50 % each they make all forty: ten in a hundred is 6 of 60. */
    public function testTheScarcestPartOrItsBounds(): void
    {
        $there = ['lettuce' => 60.0, 'arugula' => 6.0, 'mizuna' => 40.0];
        self::assertSame(20, MixMaking::of(self::salad(), null, $there, 40)->made);

        $mix = MixMaking::of(self::salad(), self::rule(0.1, 0.5), $there, 40);
        self::assertSame(40, $mix->made);
        self::assertSame(['lettuce' => 30.0, 'arugula' => 6.0, 'mizuna' => 24.0], $mix->of, 'at most half of it lettuce');
    }

    /** Five units of arugula are a tenth of fifty: 33 bags, and no part of a bag is made. */
    public function testWholeBagsOnly(): void
    {
        $mix = MixMaking::of(self::salad(), self::rule(0.1, 0.5), ['lettuce' => 60.0, 'arugula' => 5.0, 'mizuna' => 40.0], 40);

        self::assertSame(33, $mix->made);
        self::assertEqualsWithDelta(33 * 1.5, array_sum($mix->of), 0.051);
    }

    public function testAskedForWithout(): void
    {
        $mix = MixMaking::of(self::salad(), self::rule(0.1, 0.8), ['lettuce' => 60.0, 'mizuna' => 40.0], 40);

        self::assertSame([0, 'arugula'], [$mix->made, $mix->without]);
    }

    /** Half a bunch of kale and a half of chard, any of them: one bunch of either. */
    public function testAnyOf(): void
    {
        $greens = new Product('greens', 'Greens', 'bunch', Money::fromCents(250), [new Part('kale', 0.5), new Part('chard', 0.5)]);
        $mix = MixMaking::of($greens, new MixRule('greens', true), ['kale' => 7.9, 'chard' => 30.0], 35);
        self::assertSame([35, ['kale' => 7.5, 'chard' => 27.5]], [$mix->made, $mix->of], '15 half and half, the rest of chard');

        self::assertSame(37, MixMaking::of($greens, new MixRule('greens', true), ['kale' => 7.9, 'chard' => 30.0], 50)->made);
        self::assertSame(15, MixMaking::of($greens, null, ['kale' => 7.9, 'chard' => 30.0], 50)->made, 'half and half');
    }

    public function testBoundsNoMixCanHave(): void
    {
        self::assertTrue(self::rule(0.2, 0.5)->isPossible(3));
        self::assertFalse(self::rule(0.34, 0.5)->isPossible(3), 'three times a third and more');
        self::assertFalse(self::rule(0.1, 0.33)->isPossible(3));
        self::assertTrue((new MixRule('salad', true, ['kale' => [0.6, 1.0], 'chard' => [0.6, 1.0]]))->isPossible(3));
    }

    private static function salad(): Product
    {
        return new Product('salad', 'Salad', 'bag', Money::fromCents(320), [new Part('lettuce', 0.9), new Part('arugula', 0.3),
            new Part('mizuna', 0.3)]);
    }

    private static function rule(float $low, float $high): MixRule
    {
        return new MixRule('salad', false, array_fill_keys(['lettuce', 'arugula', 'mizuna'], [$low, $high]));
    }
}
