<?php

declare(strict_types=1);

namespace App\Tests\Soil;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\SoilLevel;

/** Soil tests, the shed, what was spread and valves, in and out of the database and the garden file. */
final class SoilStoreTest extends AppCase
{
    private const SOIL = [
        'soil_tests' => [['key' => 't1', 'bed' => 'A1', 'day' => '2025-10-02', 'depth_mm' => 200, 'ph' => 5.6, 'organic' => 4.2,
            'p' => 31.0,
            'p_by' => 'olsen', 'k' => 90.0, 'k_by' => 'ammonium-nitrate', 'salt' => 0.8, 'salt_by' => '1:2', 'texture' => 'clay-loam',
            'worms' => 12, 'pan_mm' => 280, 'words' => 'Hollow Laboratory'], ['key' => 't2', 'block' => 'A', 'day' => '2024-03-01',
                'ph' => 6.4]],
        'shed' => [['key' => 'meal', 'name' => 'Feather meal', 'n' => 12, 'p2o5' => 0, 'k2o' => 0, 'cents_per_kg' => 180,
            'release' => 'meal',
            'manure' => 'none', 'measure' => 'scoop', 'step_kg' => 0.4, 'stock_kg' => 25]],
        'spreads' => [['key' => 's1', 'bed' => 'A1', 'day' => '2026-02-20', 'product' => 'Cow manure', 'kg' => 60, 'n' => 0.6,
            'p2o5' => 0.3,
            'k2o' => 0.7, 'release' => 'manure', 'manure' => 'raw', 'area_m2' => 18.75, 'worked_in' => '2026-02-21']],
        'valves' => [['key' => 'v1', 'name' => 'North', 'beds' => ['A1'], 'litres_per_minute' => 18.5, 'way' => 'drip', 'every' => 3]],
        'feeding' => ['school' => 'standing-dose', 'rates_are_of' => 'ground', 'compost' => 'none', 'over_kg_ha' => [20, 10, 40],
            'short' => 0.2, 'mix_cents' => 250, 'untested' => 1, 'tunnels' => 4, 'organic' => 5.5, 'texture' => 'sand',
            'source_litres_per_hour' => 1200, 'source_hours' => 6.0],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json(self::SOIL));
    }

    public function testItIsTheSameAfterTheDatabase(): void
    {
        $soil = $this->snapshot()->soil;

        self::assertSame([SoilLevel::High, 5.6, 12], [$soil->tests[1]->phosphorus(), $soil->tests[1]->ph, $soil->tests[1]->worms]);
        self::assertSame('A', $soil->tests[0]->block);
        self::assertSame([0.4, 25.0, 'scoop'], [$soil->shed[0]->step, $soil->shed[0]->stock, $soil->shed[0]->measure]);
        self::assertSame([Heat::Raw, '2026-02-21'], [$soil->spreads[0]->heat, $soil->spreads[0]->workedIn?->iso()]);
        self::assertSame(['North', 18.5, 3], [$soil->valveOf('A1')?->name, $soil->valveOf('A1')?->litres, $soil->valveOf('A1')?->every]);
        self::assertSame([FeedSchool::StandingDose, [20.0, 10.0, 40.0], 1200.0], [$soil->rules->school, $soil->rules->allowed()->list(),
            $soil->rules->sourceLitres]);
    }

    public function testTheGardenFileHoldsItAll(): void
    {
        $file = $this->exported();
        $this->garden = $this->keep($file);

        self::assertSame($file, $this->exported());
        $read = json_decode($file, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($read);
        self::assertEquals(self::SOIL['spreads'], $read['spreads']);
        self::assertEquals(self::SOIL['feeding'], $read['feeding']);
        self::assertEquals(self::SOIL['valves'], $read['valves']);
    }

    /** A bed that was tested or fed is history; a block takes its tests and jobs along, and all comes back. */
    public function testABlockThatIsDeleted(): void
    {
        $this->post($this->path('/bed/A1/delete'), []);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('1 soil test and 1 note of what was spread', $this->text());
    }
}
