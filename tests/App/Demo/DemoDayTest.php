<?php

declare(strict_types=1);

namespace App\Tests\Demo;

use App\Demo\Demo;
use App\Shared\Today;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Weekday;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Clock\MockClock;

final class DemoDayTest extends KernelTestCase
{
    /** In winter too the demo opens on a day of July on which there is much to see, as a garden to practise in. */
    public function testOpensInHighSummerWhateverTheCalendarSays(): void
    {
        $services = self::getContainer();
        $services->set(Today::class, new Today(new MockClock('2026-11-28 12:00:00 UTC'), ''));
        $demo = $services->get(Demo::class);
        $snapshot = $services->get(Snapshot::class);
        $connection = $services->get(Connection::class);
        \assert($demo instanceof Demo && $snapshot instanceof Snapshot && $connection instanceof Connection);
        $demo->load();
        $id = $connection->fetchOne("SELECT id FROM garden WHERE name = 'Larkspur Hollow'");
        $loaded = $snapshot->of(\is_string($id) ? $id : '');

        self::assertSame(['2026-07-21', Weekday::Tuesday], [$loaded->today->iso(), $loaded->today->weekday()]);
        self::assertNotNull($loaded->practice);
        self::assertGreaterThan(80, \count($loaded->plantings->where(static fn (Planting $p): bool => Standing::Growing === $p->standing)));
    }
}
