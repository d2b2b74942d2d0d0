<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Land;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Beds\Rule;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Quarantine;
use JollyFurrow\Land\Temper;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class TemperTest extends TestCase
{
    /** Common practice: what speaks against a crop on such a bed. */
    #[TestWith(['wet', 'fair', 'few', 'none', null, 'pea', '2026-03-20', 'too-wet-so-early'])]
    #[TestWith(['wet', 'fair', 'few', 'none', null, 'pea', '2026-05-02', ''])]
    #[TestWith(['fair', 'late', 'few', 'none', null, 'corn', '2026-05-15', 'late-to-warm'])]
    #[TestWith(['fair', 'late', 'few', 'none', null, 'corn', '2026-06-15', ''])]
    #[TestWith(['fair', 'early', 'few', 'none', null, 'corn', '2026-05-15', ''])]
    #[TestWith(['fair', 'fair', 'tough', 'none', null, 'kale', '2026-06-01', 'tough-weeds'])]
    #[TestWith(['fair', 'fair', 'few', 'none', 220, 'carrot', '2026-06-01', 'roots-fork-on-pan depth=22 cm'])]
    #[TestWith(['fair', 'fair', 'few', 'none', 450, 'carrot', '2026-06-01', ''])]
    #[TestWith(['fair', 'fair', 'few', 'none', 220, 'kale', '2026-06-01', ''])]
    #[TestWith(['fair', 'fair', 'few', 'part', null, 'squash-summer', '2026-06-01', 'in-shade'])]
    #[TestWith(['fair', 'fair', 'few', 'part', null, 'spinach', '2026-06-01', ''])]
    #[TestWith(['fair', 'fair', 'few', 'deep', null, 'spinach', '2026-06-01', 'in-shade'])]
    public function testWhatSpeaksAgainstACropIsTold(string $wetness, string $warmth, string $weeds, string $shade, ?int $pan,
        string $crop, string $ground, string $said): void
    {
        $against = (new Temper($wetness, $warmth, $weeds, $shade,
            null === $pan ? null : Length::fromCentimetres($pan / 10)))->against(Book::crops()->get($crop), Day::parse($ground), 46.9);

        self::assertSame('' === $said ? [] : [$said], array_map(Said::of(...), $against));
    }

    public function testSmallSeedWhereItDriesOut(): void
    {
        self::assertNotSame([], (new Temper(wetness: 'dry', hasWater: false))->against(Book::crops()->get('carrot'),
            Day::parse('2026-06-01'), 46.9));
        self::assertSame([], (new Temper(wetness: 'dry'))->against(Book::crops()->get('carrot'), Day::parse('2026-06-01'), 46.9));
        self::assertNotSame([], (new Temper('wet'))->against(Book::crops()->get('pea'), Day::parse('2026-09-20'), -40.0),
            'spring in the south');
        $this->expectException(\DomainException::class);
        new Temper('swampy');
    }

    public function testQuarantineIsHardByHandAndTemperIsNot(): void
    {
        $garden = LittleGarden::on('2026-05-01');
        $bed = $garden->beds[0];
        $sick = new Bed($bed->name, $bed->block, 0, $bed->length, $bed->width, $bed->path, $bed->place, new Temper(weeds: 'tough'),
            [new Quarantine('Cabbage', Day::parse('2028-01-01'), 'clubroot')]);
        $with = static fn (Planting $p): array => (new Conflicts(Book::crops()))->of($garden->onBeds([$sick,
            ...\array_slice($garden->beds, 1)])->with([$p]), [$p->key]);
        $radish = LittleGarden::radish('2026-05-20');

        self::assertSame([Rule::Quarantined, Rule::BedTemper], array_map(static fn (Conflict $c): Rule => $c->rule, $with($radish)));
        self::assertSame('quarantined why=clubroot hasWhy=yes family=Cabbage bed=A1 until=2028-01-01',
            Said::of($with($radish)[0]->message));
        self::assertSame([true, false], array_map(static fn (Conflict $c): bool => $c->isHard(), $with($radish)));
        self::assertSame([], $with(LittleGarden::radish('2026-05-20', 'A2')));
        self::assertSame([], $with(LittleGarden::radish('2026-05-20', standing: Standing::Growing)), 'what stands there stands there');
        self::assertNull($sick->quarantineOf('Cabbage', Day::parse('2028-01-02')));
    }

    /** No plan puts a family where it is kept off, whatever it costs. */
    public function testNoPlanBreaksAQuarantine(): void
    {
        $planted = 0;
        foreach (range(1, 10) as $seed) {
            $garden = RandomGarden::of($seed);
            $beds = [];
            foreach ($garden->beds as $i => $bed) {
                $family = ['Cabbage', 'Daisy', 'Onion', 'Parsley', 'Goosefoot'][($i + $seed) % 5];
                $beds[] = new Bed($bed->name, $bed->block, $bed->position, $bed->length, $bed->width, $bed->path, $bed->place,
                    $bed->temper, [new Quarantine($family, Day::parse('2031-01-01'), '')]);
            }
            $sick = $garden->onBeds($beds);
            foreach ((new Planner(Book::crops(), Book::recipes()))->draw($sick)->new as $planting) {
                ++$planted;
                foreach ($planting->pieces as $piece) {
                    self::assertNull($sick->bedsByName()[$piece->bed]->quarantineOf(Book::crops()->get($planting->item)->family,
                        $planting->bedStart), $planting->key.' on '.$piece->bed);
                }
            }
        }
        self::assertGreaterThan(30, $planted);
    }
}
