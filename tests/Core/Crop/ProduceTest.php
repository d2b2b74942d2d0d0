<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Crop;

use JollyFurrow\Tests\Support\Book;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ProduceTest extends TestCase
{
    #[TestWith(['arugula', 0.3, '30 g'])]
    #[TestWith(['arugula', 9.0, '900 g'])]
    #[TestWith(['arugula', 34.0, '3.4 kg'])]
    #[TestWith(['lettuce-head', 1.0, '1 head'])]
    #[TestWith(['lettuce-head', 4.2, '4.2 heads'])]
    #[TestWith(['radish', 2.0, '2 bunches'])]
    public function testAmountIsWrittenAsItIsSold(string $crop, float $units, string $amount): void
    {
        self::assertSame($amount, Book::crops()->get($crop)->produce->amount($units));
    }
}
