<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Boxes;

use JollyFurrow\Boxes\BoxNeeds;
use JollyFurrow\Boxes\ComingBoxes;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\ComingLine;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\Price;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Ten boxes at 4.00 each Saturday from 6 June on. */
final class ComingBoxesTest extends TestCase
{
    /** Twenty storage carrots are used once: in two of three weeks. Lettuce there is anew each week. */
    public function testWhatKeepsIsUsedOnce(): void
    {
        $weeks = self::weeks(['carrot-storage' => 20, 'lettuce-head' => 10], []);

        self::assertSame([2, 3], [self::times($weeks, 'carrot-storage'), self::times($weeks, 'lettuce-head')]);
    }

    /** Not more often than every third week. */
    public function testARestIsKept(): void
    {
        $weeks = self::weeks(['radish' => 10, 'lettuce-head' => 10], ['radish' => 3]);

        self::assertSame([['radish', 'lettuce-head'], ['lettuce-head'], ['lettuce-head']], array_map(
            static fn (ComingBoxes $w): array => $w->filling->contents['s/0'], $weeks));
    }

    /** Given on 23 May: on 6 June it is two weeks, and it may not come before three. */
    public function testWhatWasPackedCounts(): void
    {
        $needs = static fn (string $packed): array => BoxNeeds::of(self::garden(['radish' => 3], [new BoxWeek('stall', Day::parse($packed),
            ['s/0' => ['radish' => 1]])]), Book::crops(), 'stall', Day::parse('2026-06-06'), [])->classes[0]->barred;

        self::assertSame([['radish'], []], [$needs('2026-05-23'), $needs('2026-05-16')]);
    }

    public function testARestIsTakenOffAgain(): void
    {
        $size = new BoxSize('s', 'stall', 'Small', Money::fromCents(400), [10], ['radish' => 3]);

        self::assertSame([['radish' => 3, 'kale' => 2], []], [$size->resting('kale', 2)->rests, $size->resting('radish', 1)->rests]);
    }

    /**
     * @param array<string, int> $there units each week, by item
     * @param array<string, int> $rests
     *
     * @return list<ComingBoxes>
     */
    private static function weeks(array $there, array $rests): array
    {
        $coming = [];
        foreach (['2026-06-06', '2026-06-13', '2026-06-20'] as $iso) {
            $day = Day::parse($iso);
            foreach ($there as $item => $units) {
                $product = new Product($item, $item, 'unit', Money::fromCents(200), [new Part($item, 1.0)]);
                $coming[$day->number][] = new ComingLine($product, $day, $units, $units, 0.0, 0.0, new Price('', '', $item,
                    $product->price));
            }
        }

        return ComingBoxes::of(self::garden($rests, []), Book::crops(), 'stall', $coming);
    }

    /**
     * @param array<string, int> $rests
     * @param list<BoxWeek>      $packed
     */
    private static function garden(array $rests, array $packed): Garden
    {
        return LittleGarden::on('2026-06-01')->selling(new MarketBook(sizes: [new BoxSize('s', 'stall', 'Small', Money::fromCents(400),
            [10],
            $rests)], boxes: $packed));
    }

    /** @param list<ComingBoxes> $weeks */
    private static function times(array $weeks, string $item): int
    {
        return \count(array_filter($weeks, static fn (ComingBoxes $w): bool => \in_array($item, $w->filling->contents['s/0'], true)));
    }
}
