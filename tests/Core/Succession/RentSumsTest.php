<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Succession;

use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\RentSums;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RentSumsTest extends TestCase
{
    /** First week 7 cents (1 a day), second 14 (2 a day). */
    #[TestWith([10, 10, 1.0])]
    #[TestWith([10, 16, 7.0])]
    #[TestWith([16, 17, 3.0])]
    #[TestWith([10, 23, 21.0])]
    #[TestWith([0, 100, 21.0])]
    public function testRentOfAStay(int $from, int $last, float $cents): void
    {
        self::assertEqualsWithDelta($cents, RentSums::fromWeeks(10, ['field' => [7.0, 14.0]])->between(PlaceType::Field, $from, $last),
            1e-9);
    }
}
