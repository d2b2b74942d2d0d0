<?php

declare(strict_types=1);

namespace App\Tests\Demo;

use App\Account\Accounts;
use App\Account\DemoAccount;
use App\Demo\Demo;
use App\Demo\SeasonShift;
use App\File\GardenReader;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use Doctrine\DBAL\Connection;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\Here;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;

final class DemoTest extends AppCase
{
    public function testHasTheSizeOfTheInventedGarden(): void
    {
        $garden = $this->file();
        $crops = array_unique(array_merge(...array_map(static fn ($p): array => array_map(static fn ($part): string => $part->item,
            $p->parts), $garden->products)));

        self::assertSame([2250.0, 200.0], [$garden->metresOf(PlaceType::Field), $garden->metresOf(PlaceType::Tunnel)]);
        self::assertCount(98, $garden->beds);
        self::assertCount(5, $garden->outlets);
        self::assertGreaterThanOrEqual(30, \count($crops));
        self::assertSame([2023, 2024, 2025], array_values(array_unique(array_map(static fn ($h): int => $h->cleared->year(),
            $garden->history))));
    }

    public function testItsPlanKeepsNearlyAllAndHasHonestTroubles(): void
    {
        $plan = $this->service(Planner::class)->draw($this->file());

        self::assertGreaterThan(0.95, $plan->keptShare());
        self::assertLessThan(1.0, $plan->keptShare());
        self::assertNotSame([], array_filter($plan->shortages, static fn ($s): bool => 8 === $s->day->month()), 'August is tight');
    }

    /**
     * Right for the trade: corn and squash after the frost, nothing prepared inside another's harvest, tender crops out
     * before the frost.
     */
    public function testItsPlanIsRightForTheTrade(): void
    {
        $garden = $this->file();
        $book = $this->service(CropBook::class);
        foreach ($this->service(Planner::class)->draw($garden)->new as $planting) {
            $crop = $book->get($planting->item);
            self::assertNull((new Here($garden))->against($book->get($planting->variety), $planting->method, $planting->place,
                $planting->sow, $planting->ground), $planting->key);
            self::assertContains($planting->sow->weekday(), $garden->settings->sowingDays, $planting->key);
            self::assertGreaterThanOrEqual($this->service(RecipeBook::class)->get($planting->recipe)->leadDays(),
                $planting->ground->since($planting->bedStart), $planting->key);
            if ($crop->tender && PlaceType::Field === $planting->place) {
                self::assertTrue($planting->clear->isBefore($garden->place->firstFrost->in(2026)->plus(21)), $planting->key);
            }
            self::assertNotSame(Pattern::Perennial, $crop->pattern, $planting->key);
        }
    }

    /** Whatever the day it is loaded, that day lies in the season of the file, and weekdays stay what they were. */
    #[TestWith(['2026-03-02', '2026-03-02'])]
    #[TestWith(['2026-11-25', '2026-03-02'])]
    #[TestWith(['2027-02-27', '2026-03-02'])]
    #[TestWith(['2027-07-07', '2027-03-01'])]
    #[TestWith(['2029-01-15', '2028-02-28'])]
    #[TestWith(['2026-02-01', '2025-03-03'])]
    public function testIsMovedToTheRunningSeason(string $day, string $begins): void
    {
        $garden = $this->file();
        $moved = (new SeasonShift())->toSeasonOf($garden, Day::parse($day));

        self::assertSame($begins, $moved->today->iso());
        self::assertSame($garden->promises[10]->day->weekday(), $moved->promises[10]->day->weekday());
        self::assertSame(0, $moved->plantings->all()[0]->sow->since($garden->plantings->all()[0]->sow) % 7);
        self::assertStringContainsString($moved->plantings->all()[0]->sow->iso(), $moved->plantings->all()[0]->key);
    }

    public function testIsLoadedOnceWithItsPlanTheWorkDoneAndAnAccount(): void
    {
        $demo = $this->service(Demo::class);
        self::assertFalse($demo->isLoaded());
        $demo->load();
        self::assertTrue($demo->isLoaded());
        $id = $this->service(Connection::class)->fetchOne("SELECT id FROM garden WHERE name = 'Larkspur Hollow'");
        self::assertIsString($id);
        $loaded = $this->service(Snapshot::class)->of($id);

        self::assertGreaterThan(200, \count($loaded->plantings));
        self::assertSame([], array_filter($loaded->plantings->all(), static fn (Planting $p): bool => 'planned' !== $p->standing->value
            && $p->sow->number >= $loaded->today->number));
        self::assertNotNull($this->service(Accounts::class)->find(DemoAccount::EMAIL));
    }

    private function file(): Garden
    {
        return $this->service(GardenReader::class)->read((string) file_get_contents(__DIR__.'/../../../demo/garden.json'));
    }
}
