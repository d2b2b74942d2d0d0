<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Readiness;

use JollyFurrow\Promise\Outlet;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Readiness\ReadinessCard;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Weekday;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Signs by use and by who sells it (common practice, no source: practice.md, Harvest, curing, store). */
final class ReadinessTableTest extends TestCase
{
    /** @param list<string> $uses youngest first */
    #[DataProvider('crops')]
    public function testAsWhatACropIsTaken(string $crop, array $uses, float $from): void
    {
        $table = Stores::readiness();

        self::assertSame($uses, array_map(static fn (HarvestUse $u): string => $u->value, $table->uses(Book::crops()->get($crop))));
        self::assertSame($from, $table->earliest(Book::crops()->get($crop)));
    }

    /** @return iterable<string, array{string, list<string>, float}> */
    public static function crops(): iterable
    {
        yield 'beet: thinned, baby, the large first, bunched, topped' => ['beet', ['thinnings', 'baby', 'large-first', 'loose', 'usual'],
            0.4];
        yield 'potato: new before it is stored' => ['potato-storage', ['new', 'usual'], 0.8];
        yield 'chard: only as the book says' => ['chard', ['usual'], 1.0];
    }

    /** Breaker for who sells it far off or late, pink for the day after next, ripe for tomorrow. */
    public function testATomatoByOutlet(): void
    {
        $sign = static fn (int $days): ?string => Stores::readiness()->forOutlet(Book::crops()->get('tomato'), new Outlet('a', 'A',
            Weekday::Saturday, 1, $days, null))?->key;

        self::assertSame(['tomato-near', 'tomato-near', 'tomato-mid', 'tomato-mid', 'tomato-far', 'tomato-far'], array_map($sign, range(0,
            5)));
    }

    /** What the table leaves out the book's own sign says. */
    public function testTheBooksOwnSign(): void
    {
        $chard = Book::crops()->get('chard');
        $cards = Stores::readiness()->of($chard);

        self::assertCount(1, $cards);
        self::assertSame($chard->habits->sign, $cards[0]->sign);
    }

    /** Every row is of crops there are, and says something. */
    public function testEveryRowSaysSomething(): void
    {
        foreach (Book::crops()->all() as $crop) {
            foreach (Stores::readiness()->of($crop) as $card) {
                self::assertNotSame('', $card->sign.$card->size.$card->feel, $card->key);
                self::assertSame($card->from < 1.0, \in_array($card->use, [HarvestUse::Thinnings, HarvestUse::Baby, HarvestUse::LargeFirst,
                    HarvestUse::New, HarvestUse::Bunched], true), $card->key);
            }
        }
        $known = array_map(static fn ($c): string => $c->key, Book::crops()->entries());
        $named = array_merge(...array_map(static fn (ReadinessCard $c): array => $c->crops, array_merge(...array_map(
            static fn ($crop): array => Stores::readiness()->of($crop), Book::crops()->all()))));
        self::assertSame([], array_diff($named, $known));
    }
}
