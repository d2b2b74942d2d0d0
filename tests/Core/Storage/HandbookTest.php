<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Storage;

use JollyFurrow\Storage\Ethylene;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Stores;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The book against USDA Agriculture Handbook 66 (2016), "The Commercial Storage of Fruits, Vegetables, and Florist and Nursery
 * Stocks", its appendix of recommended conditions (after M. Cantwell, University of California, Davis). From memory: warmth and
 * humidity sure, life fair, ethylene fair.
 */
final class HandbookTest extends TestCase
{
    /**
     * Crop: degrees C from, to; per cent from, to; days from, to; chilled below; gives off and suffers from ethylene, 0 to 2.
     */
    private const ROWS = [
        'asparagus' => [0, 2.5, 95, 100, 14, 21, null, 0, 1],
        'basil' => [7, 12, 90, 95, 5, 7, 10, 0, 2],
        'bean-bush' => [4, 7, 95, 100, 7, 10, 4, 0, 1],
        'bean-broad' => [0, 2, 90, 98, 7, 14, null, 0, 1],
        'beet' => [0, 0, 98, 100, 10, 14, null, 0, 0],
        'beet-storage' => [0, 0, 98, 100, 120, 150, null, 0, 0],
        'broccoli' => [0, 0, 95, 100, 10, 14, null, 0, 2],
        'brussels-sprouts' => [0, 0, 95, 100, 21, 35, null, 0, 2],
        'cabbage-early' => [0, 0, 98, 100, 21, 42, null, 0, 2],
        'cabbage-storage' => [0, 0, 95, 100, 150, 180, null, 0, 2],
        'chinese-cabbage' => [0, 0, 95, 100, 60, 90, null, 0, 2],
        'carrot' => [0, 0, 98, 100, 10, 14, null, 0, 2],
        'carrot-storage' => [0, 0, 98, 100, 180, 270, null, 0, 2],
        'cauliflower' => [0, 0, 95, 98, 21, 28, null, 0, 2],
        'celeriac' => [0, 0, 98, 100, 180, 240, null, 0, 0],
        'celery' => [0, 0, 98, 100, 30, 60, null, 0, 1],
        'chard' => [0, 0, 95, 100, 10, 14, null, 0, 2],
        'kale' => [0, 0, 95, 100, 10, 14, null, 0, 2],
        'corn' => [0, 0, 95, 98, 5, 8, null, 0, 0],
        'cucumber' => [10, 12, 85, 95, 10, 14, 10, 0, 2],
        'eggplant' => [10, 12, 90, 95, 7, 14, 10, 0, 1],
        'endive' => [0, 0, 95, 100, 14, 28, null, 0, 2],
        'fennel' => [0, 2, 90, 95, 14, 21, null, 0, 1],
        'garlic' => [-1, 0, 65, 70, 180, 210, null, 0, 0],
        'ginger' => [13, 13, 65, 65, 90, 180, 12, 0, 0],
        'kohlrabi' => [0, 0, 98, 100, 60, 90, null, 0, 0],
        'leek' => [0, 0, 95, 100, 56, 84, null, 0, 1],
        'lettuce-head' => [0, 0, 98, 100, 14, 21, null, 0, 2],
        'melon' => [2, 5, 95, 95, 14, 21, 2, 2, 1],
        'okra' => [7, 10, 90, 95, 7, 10, 7, 0, 1],
        'onion' => [0, 0, 65, 70, 30, 240, null, 0, 0],
        'parsley' => [0, 0, 95, 100, 30, 60, null, 0, 2],
        'parsnip' => [0, 0, 95, 100, 120, 180, null, 0, 2],
        'pea' => [0, 1, 90, 98, 7, 14, null, 0, 1],
        'pepper' => [7, 10, 95, 98, 14, 21, 7, 0, 1],
        'potato-early' => [10, 15, 90, 95, 10, 14, 4, 0, 1],
        'potato-storage' => [4, 8, 95, 98, 150, 300, 3, 0, 1],
        'pumpkin' => [12, 15, 50, 70, 60, 90, 10, 0, 1],
        'radish' => [0, 0, 95, 100, 21, 28, null, 0, 0],
        'radish-winter' => [0, 1, 95, 100, 60, 120, null, 0, 0],
        'rhubarb' => [0, 0, 95, 100, 14, 28, null, 0, 1],
        'rutabaga' => [0, 0, 98, 100, 120, 180, null, 0, 0],
        'scallion' => [0, 0, 95, 100, 21, 28, null, 0, 2],
        'spinach' => [0, 0, 95, 100, 10, 14, null, 0, 2],
        'squash-summer' => [7, 10, 95, 95, 7, 14, 5, 0, 1],
        'squash-winter' => [12, 15, 50, 70, 60, 180, 10, 0, 1],
        'strawberry' => [0, 0, 90, 95, 5, 10, null, 0, 0],
        'sweet-potato' => [13, 15, 85, 95, 120, 210, 12, 0, 0],
        'tomato' => [8, 10, 85, 90, 7, 21, 8, 2, 0],
        'turnip' => [0, 0, 95, 95, 120, 150, null, 0, 0],
        'watermelon' => [10, 15, 90, 90, 14, 21, 10, 0, 2],
    ];

    /** @return iterable<string, array{string}> */
    public static function crops(): iterable
    {
        foreach (array_keys(self::ROWS) as $crop) {
            yield $crop => [$crop];
        }
    }

    #[DataProvider('crops')]
    public function testARow(string $crop): void
    {
        [$cold, $warm, $dry, $damp, $least, $most, $chill, $makes, $suffers] = self::ROWS[$crop];
        $needs = Stores::keeping()->of(Book::crops()->get($crop));

        self::assertTrue($needs->celsius >= $cold && $needs->celsius <= $warm, 'warmth '.$needs->celsius);
        self::assertTrue($needs->humidity >= $dry && $needs->humidity <= $damp, 'humidity '.$needs->humidity);
        self::assertTrue($needs->least >= $least && $needs->most <= $most, 'life '.$needs->least.' to '.$needs->most);
        self::assertEqualsWithDelta($chill, $needs->chill, 0.01);
        self::assertSame([self::level($makes), self::level($suffers)], [$needs->traits->makes, $needs->traits->suffers]);
    }

    private static function level(int $level): Ethylene
    {
        return [Ethylene::Little, Ethylene::Some, Ethylene::Much][$level];
    }
}
