<?php

declare(strict_types=1);

namespace App\Tests\Storage;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\HandlingKind;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** Places, lots, what became of them, loggers and treatments, in and out of the database and the garden file. */
final class StoreStoreTest extends AppCase
{
    private const STORE = [
        'stores' => [['key' => 'cold', 'name' => 'Cold room', 'kind' => 'cold-room', 'celsius' => 1.5, 'humidity' => 94, 'crates' => 30]],
        'harvests' => [['key' => '260214-a3-leek', 'day' => '2026-02-14', 'bed' => 'A3', 'planting' => 'leek@2025-04-22#1',
            'item' => 'leek', 'variety' => 'leek', 'grade' => 'second', 'hundredths' => 4050, 'minutes' => 35, 'who' => 'Mika',
            'flaws' => ['wet', 'muddy'], 'store' => 'cold', 'words' => 'frozen at the edge']],
        'handlings' => [['key' => 'h1', 'lot' => '260214-a3-leek', 'day' => '2026-02-21', 'kind' => 'sold', 'hundredths' => 1000,
            'from' => 'cold', 'to' => 'stall']],
        'store_days' => [['store' => 'cold', 'day' => '2026-02-20', 'celsius' => 1.8, 'low' => 0.9, 'high' => 3.1, 'humidity' => 92.5]],
        'sprays' => [['key' => 's1', 'day' => '2026-02-27', 'beds' => ['A1', 'A3'], 'product' => 'Soap', 'wait_days' => 3,
            'reentry_days' => 1, 'mode' => 'contact', 'who' => 'Mika', 'licence' => 'none needed', 'words' => 'aphids']],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json(self::STORE));
    }

    public function testItIsTheSameAfterTheDatabase(): void
    {
        $garden = $this->snapshot();
        $lot = $garden->store->harvests[0];

        self::assertSame(['A3', 'leek@2025-04-22#1', 40.5, 35, [Flaw::Wet, Flaw::Muddy]], [$lot->bed, $lot->planting, $lot->units(),
            $lot->minutes, $lot->flaws]);
        self::assertSame([HandlingKind::Sold, 'stall'], [$garden->store->handlings[0]->kind, $garden->store->handlings[0]->to]);
        self::assertSame([1.8, 92.5], [$garden->store->days[0]->celsius, $garden->store->days[0]->humidity]);
        self::assertSame([['A1', 'A3'], '2026-03-02'],
            [$garden->sprays->sprays[0]->beds, $garden->sprays->sprays[0]->harvestFrom()->iso()]);
        self::assertSame(30.5, Holdings::of($garden, $this->service(CropBook::class))->all[0]->units());
    }

    public function testTheGardenFileHoldsItAll(): void
    {
        $file = $this->exported();
        $this->garden = $this->keep($file);

        self::assertSame($file, $this->exported());
        $read = json_decode($file, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($read);
        foreach (self::STORE as $key => $rows) {
            self::assertEquals($rows, $read[$key], $key);
        }
    }

    /** A bed with harvests and treatments is history: it is kept, and says why. */
    public function testABedThatWasHarvestedIsKept(): void
    {
        $this->post($this->path('/bed/A3/delete'), []);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('1 harvest and 1 treatment', $this->text());
    }

    public function testTheCommands(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'store');
        file_put_contents($file, SmallGarden::json(self::STORE));
        $run = static function (string $name) use ($file): string {
            $tester = new CommandTester((new Application(self::$kernel ?? self::bootKernel()))->find($name));
            $tester->execute(['file' => $file], ['capture_stderr_separately' => true]);

            return (string) preg_replace('/\s+/', '', $tester->getDisplay());
        };
        [$lots, $first] = [$run('harvest'), $run('store')];
        unlink($file);

        self::assertStringContainsString('"lifted":4050,"there":{"cold":3050},"gone":{"sold":1000}', $lots);
        self::assertStringContainsString('"lot":"260214-a3-leek","item":"leek","place":"cold","units":30.5,"unit":"stalk"', $first);
    }

    public function testWhatAFileCannotMean(): void
    {
        $this->expectExceptionMessage('handlings[0]');
        $this->keep(SmallGarden::json(['handlings' => [['lot' => 'other'] + self::STORE['handlings'][0]]] + self::STORE));
    }
}
