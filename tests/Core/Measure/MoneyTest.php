<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Measure;

use JollyFurrow\Measure\InvalidMoney;
use JollyFurrow\Measure\Money;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MoneyTest extends TestCase
{
    #[TestWith(['2.50', 250])]
    #[TestWith(['2,5', 250])]
    #[TestWith(['3', 300])]
    #[TestWith(['0.05', 5])]
    #[TestWith(['$4.00', 400])]
    #[TestWith(['4,5 €', 450])]
    public function testReads(string $text, int $cents): void
    {
        self::assertSame($cents, Money::parse($text)->cents);
    }

    #[TestWith([''])]
    #[TestWith(['-1'])]
    #[TestWith(['$'])]
    #[TestWith(['$4$'])]
    #[TestWith(['4 EUR'])]
    #[TestWith(['2.505'])]
    #[TestWith(['1 000'])]
    public function testRefuses(string $text): void
    {
        $this->expectException(InvalidMoney::class);
        Money::parse($text);
    }
}
