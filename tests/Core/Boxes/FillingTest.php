<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Boxes;

use JollyFurrow\Boxes\BoxClass;
use JollyFurrow\Boxes\BoxItem;
use JollyFurrow\Boxes\Filling;
use JollyFurrow\Measure\Money;
use JollyFurrow\Sale\BoxSize;
use PHPUnit\Framework\TestCase;

final class FillingTest extends TestCase
{
    /** Twenty bunches for two groups of twenty: one has them this week, the other the next; never one twice before the other once. */
    public function testGroupsTakeTurns(): void
    {
        $had = [[], []];
        $weeks = [];
        for ($week = 0; $week < 7; ++$week) {
            $filling = Filling::of([new BoxItem('pea', 20, 300.0, 1.0), new BoxItem('kale', 100, 300.0, 1.0)], [
                new BoxClass('small', 0, 20, 600.0, 2, $had[0]), new BoxClass('small', 1, 20, 600.0, 2, $had[1])]);
            foreach ([0, 1] as $group) {
                foreach ($filling->contents['small/'.$group] as $item) {
                    $had[$group][$item] = ($had[$group][$item] ?? 0) + 1;
                    'pea' !== $item ?: $weeks[] = $group;
                }
            }
            self::assertLessThanOrEqual(1, abs(($had[0]['pea'] ?? 0) - ($had[1]['pea'] ?? 0)));
        }
        self::assertCount(7, $weeks, 'every week somebody has them');
        self::assertSame([7, 7], [$had[0]['kale'], $had[1]['kale']]);
    }

    /** What is lost first goes in, and what keeps waits: both would be more than the box costs. */
    public function testWhatIsLostFirstGoesIn(): void
    {
        $filling = Filling::of([new BoxItem('carrot', 50, 500.0, 0.25), new BoxItem('lettuce', 50, 500.0, 1.0)],
            [new BoxClass('small', 0, 10, 500.0, 1)]);

        self::assertSame(['small/0' => ['lettuce']], $filling->contents);
        self::assertSame(['carrot' => 50, 'lettuce' => 40], $filling->left);
        self::assertSame(['small/0' => 500.0], $filling->worth);
    }

    /** Worth its price: of what is dearer than the box, little. */
    public function testWorthItsPrice(): void
    {
        $items = array_map(static fn (int $n): BoxItem => new BoxItem('i'.$n, 30, 200.0, 1.0), range(1, 9));
        $filling = Filling::of($items, [new BoxClass('small', 0, 10, 1000.0, 3), new BoxClass('large', 0, 10, 1400.0, 3)]);

        self::assertSame(['small/0' => 1000.0, 'large/0' => 1400.0], $filling->worth);
    }

    public function testANewcomerGoesIntoTheSmallerGroup(): void
    {
        $size = new BoxSize('s', 'boxes', 'Small', Money::fromCents(1200), [12, 11]);

        self::assertSame([[12, 12], [13, 12], 25], [$size->withOneMore()->groups, $size->withOneMore()->withOneMore()->groups,
            $size->withOneMore()->withOneMore()->shares()]);
    }
}
