<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Nursery;

use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Measure\Length;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Tests\Support\Book;
use PHPUnit\Framework\TestCase;

final class SeedNeedTest extends TestCase
{
    /** 3 rows x 33 spots; 99 / 0.92 = 107.6, so 108 cells, two trays of 104. */
    public function testTransplantsAreRaisedWithSpares(): void
    {
        $need = self::need('lettuce-head', Method::Transplanted, 10);

        self::assertSame([99.0, 108.0, 2.0, 108.0], [$need->plants->value, $need->cells?->value, $need->trays?->value,
            $need->seeds->value]);
        self::assertEqualsWithDelta(108 * 1.1 / 1000, $need->grams->value, 1e-9);
    }

    /** 5 rows x 250 spots; 1250 / (0.85 x 0.65) = 2262.4: the stand asks for more than one seed a spot. */
    public function testSownSeedAllowsForWhatDoesNotComeUp(): void
    {
        $need = self::need('spinach', Method::Sown, 10);

        self::assertSame([1250.0, 2263.0], [$need->plants->value, $need->seeds->value]);
        self::assertNull($need->trays);
    }

    /** A beet seed ball gives about two plants, so fewer balls raise the stand; one goes to every spot all the same. */
    public function testSeedBallsGiveTwoPlants(): void
    {
        $need = self::need('beet', Method::Sown, 10);

        self::assertSame([500.0, 500.0], [$need->plants->value, $need->seeds->value]);
    }

    private static function need(string $crop, Method $method, float $metres): SeedNeed
    {
        $crop = Book::crops()->get($crop);

        return SeedNeed::of($crop, $method, Spacing::inBed($crop->stand, Length::fromCentimetres(75), Length::fromMetres($metres)));
    }
}
