<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Change\PlantingMark;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Planting\Planting;
use Symfony\Component\DomCrawler\Crawler;

/** Two crops on one bed, by hand: each has its share, the wall draws them beside each other, the file keeps them. */
final class ShareTest extends AppCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $planting = static fn (string $item, string $sow, string $bed): array => ['key' => $item.'@'.$sow.'#1', 'item' => $item,
            'method' => 'sown',
            'place' => 'field', 'recipe' => 'compost-mulch', 'sow' => $sow, 'ground' => $sow, 'bed_start' => $sow, 'ready' => '2026-06-20',
            'clear' => '2026-07-10', 'per_metre' => 11.0, 'standing' => 'planned', 'locked' => true, 'remarks' => [],
                'pieces' => [['bed' => $bed,
                'from_mm' => 0, 'to_mm' => 6000, 'width_share' => 1.0]]];
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => $planting('radish', '2026-04-20', 'A1'),
            2 => $planting('beet', '2026-04-20', 'A2')]]));
    }

    public function testBeetsBesideRadishes(): void
    {
        $before = $this->exported();
        $this->change('radish', ['do' => 'share', 'share' => '60', 'gives' => '90']);
        self::assertEqualsWithDelta(0.9 * 11 * 6, $this->planting('radish')->perMetre * $this->planting('radish')->bedMetres(), 1e-6);
        $this->change('beet', ['do' => 'share', 'share' => '50', 'gives' => '80']);
        $this->post($this->path('/planting/'.$this->id('beet').'/change'), ['do' => 'move', 'when' => '2026-04-20', 'bed' => 'A1',
            'from' => '0',
            'until' => '2026-07-10', 'seen' => PlantingMark::of($this->planting('beet'))]);
        self::assertResponseStatusCodeSame(409, 'more than the bed is wide');
        $this->change('beet', ['do' => 'share', 'share' => '40', 'gives' => '80']);
        $this->change('beet', ['do' => 'move', 'when' => '2026-04-20', 'bed' => 'A1', 'from' => '0', 'until' => '2026-07-10']);
        self::assertSame(['A1', 0.4], [$this->planting('beet')->pieces[0]->bed, $this->planting('beet')->pieces[0]->widthShare]);

        $wall = $this->browser->request('GET', $this->path('/wall?zoom=season'));
        self::assertGreaterThan(0, $wall->filter('svg')->count());
        self::assertNotSame($before, $this->exported());
        $file = $this->exported();
        $this->garden = $this->keep($file);
        self::assertSame($file, $this->exported());
    }

    public function testWhatIsNoShareIsSaid(): void
    {
        $page = $this->browser->request('GET', $this->path('/planting/'.$this->id('radish').'/change?do=share&try=1&share=140&gives=some'));
        self::assertResponseStatusCodeSame(422);
        self::assertSame(2, $page->filter('.fault')->count());
    }

    /** @param array<string, string> $sent */
    private function change(string $item, array $sent): void
    {
        $this->post($this->path('/planting/'.$this->id($item).'/change'), ['seen' => PlantingMark::of($this->planting($item))] + $sent);
        self::assertResponseRedirects(null, 303, strip_tags((new Crawler((string) $this->browser->getResponse()->getContent()))
            ->filter('.trouble, .fault')->text('')));
    }

    private function id(string $item): string
    {
        return $this->service(Snapshot::class)->plantingIds($this->garden)[$this->planting($item)->key];
    }

    private function planting(string $item): Planting
    {
        return array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => $p->item === $item))[0];
    }
}
