<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Purchase;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Purchase\Purchase;
use JollyFurrow\Purchase\PurchaseKind;
use JollyFurrow\Purchase\Purchases;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Feeding;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\Source;
use PHPUnit\Framework\TestCase;

final class PurchasesTest extends TestCase
{
    /** Film by the metre of bed, in the month its bed is begun; what lies already is not bought again. */
    public function testFilmForWhatIsStillToBeMadeReady(): void
    {
        $planting = static fn (string $key, string $start, Standing $standing): Planting => LittleGarden::lettuce(
            Day::parse($start)->plus(-23)->iso())->but(
                key: $key, recipe: 'film-mulch', standing: $standing, pieces: [Stretch::of('A2', 0, 12_500_000)]);
        $garden = LittleGarden::at('47N', '2026-03-02')->with([$planting('lettuce-head@1', '2026-03-20', Standing::Planned),
            $planting('lettuce-head@2', '2026-03-28', Standing::Planned), $planting('lettuce-head@3', '2026-04-28', Standing::Planned),
            $planting('lettuce-head@4', '2026-02-20', Standing::Growing)]);
        $recipes = Book::recipes()->with([new Recipe('film-mulch', 'Film', 'mulch', false, [new Step('Lay', 2, 3.0, '', '', '')],
            Source::practice(), Mulch::Film)]);
        $film = array_values(array_filter(Purchases::of($garden, Book::crops(), $recipes, Feeding::plan($garden)),
            static fn (Purchase $p): bool => PurchaseKind::Film === $p->kind));

        self::assertSame([['2026-03-01', 25.0], ['2026-04-01', 12.5]], array_map(static fn (Purchase $p): array => [$p->by->iso(),
            $p->amount->value], $film));
    }
}
