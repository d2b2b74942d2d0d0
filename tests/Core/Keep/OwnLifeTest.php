<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Keep;

use JollyFurrow\Keep\OwnLife;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Storage carrots keep 210 days by the book. Median of lots by Kaplan and Meier, what was sold counting as at least. */
final class OwnLifeTest extends TestCase
{
    public function testLotsThatSpoiledEarlier(): void
    {
        $own = self::own([[100, 'spoilt'], [120, 'spoilt'], [140, 'spoilt'], [160, 'sold']])[0];

        self::assertSame(['carrot-storage', 100, 120, 140, 3, 4], [$own->crop->key, $own->least, $own->likely, $own->most, $own->ended,
            $own->seen]);
        self::assertSame('100..140', $own->written());
        self::assertSame(210, $own->book->likely);
    }

    /** Two that spoiled say nothing; nor do three that kept about as the book says. */
    public function testTooFewOrNothingNew(): void
    {
        self::assertSame([], self::own([[100, 'spoilt'], [120, 'spoilt'], [160, 'sold']]));
        self::assertSame([], self::own([[200, 'spoilt'], [205, 'spoilt'], [230, 'spoilt']]));
        self::assertSame([], self::own([[100, 'spoilt'], [110, 'spoilt'], [120, 'spoilt'], ...array_fill(0, 9, [180, 'sold'])]),
            'most were still good when they were sold');
    }

    /** At ten degrees a day counts as two and a half: forty days there are a hundred at its best. */
    public function testByTheWarmthItLayAt(): void
    {
        $warm = new StorePlace('cold', 'Barn', Stores::cold()->kind, 10.0, 96);

        self::assertSame(100, self::own([[40, 'spoilt'], [40, 'spoilt'], [40, 'spoilt']], $warm)[0]->likely);
    }

    /**
     * @param list<array{int, string}> $lots days after the harvest, and what became of it then
     *
     * @return list<OwnLife>
     */
    private static function own(array $lots, ?StorePlace $place = null): array
    {
        $harvests = $handlings = [];
        foreach ($lots as $n => [$days, $what]) {
            $harvests[] = $lot = Stores::lot('carrot-storage', '2025-10-01', 1_000, more: '-'.$n);
            // Half of it thrown out ends it, 4.99 of 10 do not.
            $handlings[] = Stores::handling($lot, '2025-10-02', HandlingKind::Culled, 'sold' === $what ? 499 : 100, 'cold');
            $handlings[] = Stores::handling($lot, Day::parse('2025-10-01')->plus($days)->iso(), 'sold' === $what ? HandlingKind::Sold
                : HandlingKind::Culled, 'sold' === $what ? 501 : 400, 'cold');
        }

        return OwnLife::all(LittleGarden::on('2026-09-30')->storing(new StoreBook([$place ?? Stores::cold()], $harvests, $handlings, [],
            Stores::keeping())), Book::crops());
    }
}
