<?php

declare(strict_types=1);

namespace App\Tests\Seed;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;

/** The drawer of seed and the order, on their page and as a list. */
final class SeedTest extends AppCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => [
            'key' => 'radish@2026-03-10#1', 'item' => 'radish', 'method' => 'sown', 'place' => 'field', 'recipe' => 'compost-mulch',
            'sow' => '2026-03-10', 'ground' => '2026-03-10', 'bed_start' => '2026-03-05', 'ready' => '2026-04-20', 'clear' => '2026-04-28',
            'per_metre' => 11.0, 'standing' => 'planned', 'locked' => true, 'remarks' => [],
            'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 12000, 'width_share' => 1.0]],
        ]]]));
    }

    public function testALotComesOffTheOrderAndIsKeptInTheFile(): void
    {
        $this->browser->request('GET', $this->path('/seed'));
        self::assertStringContainsString('To order: <strong>1 variety', $this->text());
        $this->post($this->path('/seed'), ['variety' => 'radish', 'amount' => '2 kg', 'counted' => '2026-03-02', 'year' => '2025',
            'germination' => '85', 'supplier' => '=Hollow', 'packet' => '100', 'price' => '6.40', 'setting' => 'roller 24']);
        self::assertResponseRedirects();
        $lot = $this->snapshot()->diary->seedLots[0];
        self::assertSame(['s1', 'radish', 2000.0, 0.85, 100.0, 640], [$lot->key, $lot->variety, $lot->grams, $lot->germination,
            $lot->packet,
            $lot->cents]);
        $this->browser->followRedirect();
        self::assertStringContainsString('Nothing is short', $this->text());
        $file = $this->exported();
        $this->browser->request('GET', '/g/'.$this->keep($file).'/file/garden.json');
        self::assertSame($file, $this->browser->getResponse()->getContent());

        $this->post($this->path('/seed'), ['lot' => 's1', 'variety' => 'radish', 'amount' => '1', 'counted' => '2026-03-02',
            'year' => '2025',
            'germination' => '', 'supplier' => '=Hollow', 'packet' => '5', 'price' => '2', 'setting' => '']);
        $this->browser->request('GET', $this->path('/seed/order.csv'));
        self::assertStringContainsString("'=Hollow,Radish", (string) $this->browser->getResponse()->getContent());
        $this->post($this->path('/seed/delete'), ['lot' => 's1']);
        self::assertSame([], $this->snapshot()->diary->seedLots);
    }

    public function testWhatIsWrongIsSaidAtItsFieldAndKept(): void
    {
        $this->post($this->path('/seed'), ['variety' => 'moonfruit', 'amount' => 'some', 'counted' => 'soon', 'year' => '12',
            'germination' => '140', 'supplier' => 'Hollow Seeds', 'packet' => '-1', 'price' => 'dear']);
        self::assertResponseStatusCodeSame(422);
        self::assertGreaterThanOrEqual(6, substr_count($this->text(), 'class="fault"'));
        self::assertStringContainsString('Hollow Seeds', $this->text());
        self::assertSame([], $this->snapshot()->diary->seedLots);
    }

    /** 15 a metre on 10 m of four rows: 150 of bed, 600 of row. */
    public function testARateIsAskedAbout(): void
    {
        $this->browser->request('GET', $this->path('/seed?each=15&bed=10+m&rows=4'));
        self::assertStringContainsString('150 seeds', $this->text());
        self::assertStringContainsString('600 seeds', $this->text());
        self::assertStringNotContainsString('many times the stand', $this->text());
        $this->browser->request('GET', $this->path('/seed?crop=carrot&each=2000&bed=10+m&rows=4'));
        self::assertStringContainsString('many times the stand: check the rate', $this->text());
    }

    public function testTheRoomOfTheNursery(): void
    {
        $this->post($this->path('/nursery'), ['bench' => '24', 'mat' => '6', 'outside' => '']);
        self::assertResponseRedirects();
        $room = $this->snapshot()->settings->rules->benches->room;
        self::assertSame([24, 6, 0], [$room->bench, $room->mat, $room->outside]);
        $this->browser->request('GET', $this->path('/nursery'));
        self::assertStringContainsString('room for 24', $this->text());
        $this->post($this->path('/nursery'), ['bench' => 'many']);
        self::assertResponseStatusCodeSame(422);
        self::assertSame(24, $this->snapshot()->settings->rules->benches->room->bench);
    }
}
