<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Land;

use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedRuns;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use PHPUnit\Framework\TestCase;

/** Beds as a grower tells them. */
final class BedRunsTest extends TestCase
{
    public function testRunsOfThreeAndMore(): void
    {
        self::assertSame([['A1', 'A3'], ['A5', 'A5'], ['B1', 'B1'], ['B2', 'B2']], BedRuns::of(['A1', 'A2', 'A3', 'A5', 'B2', 'B1'],
            self::walk()));
        self::assertSame([['A6', 'A6'], ['B1', 'B1'], ['B2', 'B2']], BedRuns::of(['A6', 'B1', 'B2'], self::walk()),
            'no run goes on into the next block');
    }

    public function testAllButAFew(): void
    {
        self::assertSame(['A4'], BedRuns::allBut(['A1', 'A2', 'A3', 'A5', 'A6'], self::walk(), 'A'));
        self::assertSame([], BedRuns::allBut(['A1', 'A2', 'A3', 'A4', 'A5', 'A6'], self::walk(), 'A'));
        self::assertNull(BedRuns::allBut(['A1', 'A2', 'A3'], self::walk(), 'A'), 'three are told as they are');
        self::assertNull(BedRuns::allBut(['A1', 'A2', 'A3', 'A4', 'B1'], self::walk(), 'A'));
    }

    /** @return list<Bed> A1 to A6, B1 to B3 */
    private static function walk(): array
    {
        $names = ['A1', 'A2', 'A3', 'A4', 'A5', 'A6', 'B1', 'B2', 'B3'];

        return array_map(static fn (string $name, int $i): Bed => new Bed($name, $name[0], $i, Length::fromMetres(25),
            Length::fromCentimetres(75), Length::fromCentimetres(45), PlaceType::Field), $names, array_keys($names));
    }
}
