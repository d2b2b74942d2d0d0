<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Beds;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Beds\Rule;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Area;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** Raw manure keeps a harvest off its bed for 120 days from working in (US 7 CFR 205.203(c)(1)); a hard rule. */
final class ManureTest extends TestCase
{
    /** Worked in 3 February: radishes ready 2 June wait a day, those of 3 June do not; composted manure keeps nobody off. */
    public function testRadishesWait(): void
    {
        $hard = static fn (string $sow, Heat $heat): array => array_map(static fn (Conflict $c): Rule => $c->rule,
            array_values(array_filter((new Conflicts(Book::crops()))->hard(LittleGarden::on('2026-03-02', [LittleGarden::radish($sow)])
                ->onSoil(new SoilBook(spreads: [self::manure($heat)])), 'radish@'.$sow.'#1'), static fn (Conflict $c): bool => true)));

        self::assertSame([Rule::ManureWaits], $hard('2026-05-03', Heat::Raw));
        self::assertSame([], $hard('2026-05-04', Heat::Raw));
        self::assertSame([], $hard('2026-05-03', Heat::Composted));
    }

    /** The planner takes another bed. */
    public function testThePlannerKeepsOff(): void
    {
        $garden = LittleGarden::on('2026-03-02', [], ['2026-06-20' => 20]);
        $beds = static fn (SoilBook $soil): array => array_values(array_unique(array_merge([],
            ...array_map(static fn (Planting $p): array => array_map(static fn (Stretch $piece): string => $piece->bed, $p->pieces),
                (new Planner(Book::crops(), Book::recipes()))->draw($garden->onSoil($soil))->new))));
        $free = $beds(new SoilBook());
        $other = $beds(new SoilBook(spreads: array_map(static fn (string $bed): Spread => self::manure(Heat::Raw, $bed, '2026-03-01'),
            $free)));

        self::assertNotSame([], $free);
        self::assertNotSame([], $other);
        self::assertSame([], array_intersect($free, $other));
    }

    private static function manure(Heat $heat, string $bed = 'A1', string $in = '2026-02-03'): Spread
    {
        return new Spread('s-'.strtolower($bed), $bed, Day::parse('2026-02-02'), 'manure', 50.0, Nutrients::of(0.6, 0.3, 0.6),
            Release::Manure,
            $heat, Area::fromSquareMetres(15.0), Day::parse($in));
    }
}
