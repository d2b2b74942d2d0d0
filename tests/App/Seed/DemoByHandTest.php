<?php

declare(strict_types=1);

namespace App\Tests\Seed;

use App\Demo\Demo;
use App\Tests\Support\AppCase;
use Doctrine\DBAL\Connection;
use JollyFurrow\Bench\BenchLoad;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Seed\SeedBalance;

/** The demo's seed order and bench against sums made by hand from the lengths of its plantings and the values of the book. */
final class DemoByHandTest extends AppCase
{
    private Garden $demo;
    private CropBook $crops;

    protected function setUp(): void
    {
        parent::setUp();
        $this->service(Demo::class)->load();
        $id = $this->service(Connection::class)->fetchOne("SELECT id FROM garden WHERE name = 'Larkspur Hollow'");
        $this->garden = \is_string($id) ? $id : '';
        $this->demo = $this->snapshot();
        $this->crops = $this->service(CropBook::class);
    }

    public function testTheOrder(): void
    {
        $need = [];
        foreach ($this->demo->plantings as $planting) {
            if (Standing::Planned === $planting->standing && !$planting->clear->isBefore($this->demo->today)) {
                $need[$planting->variety] = ($need[$planting->variety] ?? 0.0) + 1.1 * $this->grams($planting);
            }
        }
        self::assertGreaterThan(5, \count($need));
        $ordered = [];
        foreach (SeedBalance::of($this->demo, $this->crops) as $seed) {
            self::assertEqualsWithDelta($need[$seed->crop->key] ?? 0.0, $seed->need, 1e-6, $seed->crop->key);
            if ($seed->packets > 0) {
                $ordered[] = $seed->crop->key;
                self::assertGreaterThanOrEqual($seed->short - 1e-9, $seed->packets * $seed->packet);
                self::assertLessThan($seed->short, ($seed->packets - 1) * $seed->packet);
            }
        }
        self::assertContains('mizuna', $ordered, 'of what is planned and nothing lies in the drawer');
    }

    public function testTheBench(): void
    {
        $week = BenchLoad::of($this->demo, $this->crops)->weeks[1];
        $most = 0.0;
        for ($n = 0; $n < 7; ++$n) {
            $day = $week->monday->plus($n);
            $trays = 0.0;
            foreach ($this->demo->plantings as $p) {
                $isThere = Method::Transplanted === $p->method && \in_array($p->standing, [Standing::Planned, Standing::InNursery], true)
                    && !$day->isBefore($p->sow) && $day->isBefore($p->ground->plus(-7));
                $trays += $isThere ? ceil($this->cells($p) / $this->crop($p)->stand->cellsPerTray) : 0.0;
            }
            $most = max($most, $trays);
        }

        self::assertGreaterThan(0.0, $most);
        self::assertSame($most, max($week->onBench, $week->onBench + $week->onMat));
    }

    private function crop(Planting $planting): Crop
    {
        return $this->crops->grown($planting->item, $planting->variety);
    }

    private function spots(Planting $planting): float
    {
        $stand = $this->crop($planting)->standFor($planting->method);

        // All beds of the demo are of the standard width, so the book's rows stand.
        return $stand->rows * floor($planting->length()->metres() / $stand->inRow->metres() + 1e-9);
    }

    private function cells(Planting $planting): float
    {
        return ceil($this->spots($planting) / (1 - $this->crop($planting)->stand->trayLoss) - 1e-9);
    }

    private function grams(Planting $planting): float
    {
        $stand = $this->crop($planting)->standFor($planting->method);
        $seeds = match (true) {
            Method::Transplanted === $planting->method => $this->cells($planting) * $stand->seedsPerSpot,
            null !== $stand->sowing => $stand->rows * floor($planting->length()->metres() / $stand->sowing->metres() + 1e-9),
            default => max(ceil($this->spots($planting) * $stand->plantsPerSpot
                / ($stand->germination * $stand->fieldFactor * $stand->plantsPerSeedUnit) - 1e-9),
                $this->spots($planting) * $stand->seedsPerSpot),
        };

        return $seeds * $this->crop($planting)->stand->thousandSeedGrams / 1000;
    }
}
