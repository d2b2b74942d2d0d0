<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Change\PlantingMark;
use App\Proposal\Proposals;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Proposal\ProposedChange;
use JollyFurrow\Time\Day;

/** A proposal changes nothing until it is taken: all, some, or none; what has moved on since is not overwritten. */
final class ProposalPagesTest extends AppCase
{
    public function testSomeAreTakenTheRestStaysOpenAndNoneIsDropped(): void
    {
        $this->draw();
        $changes = $this->open();
        self::assertGreaterThan(1, \count($changes));
        $this->post($this->path('/proposal'), ['take' => [$changes[0]->id]]);
        self::assertResponseRedirects($this->path('/proposal'));
        self::assertCount(2, $this->snapshot()->plantings);
        self::assertCount(\count($changes) - 1, $this->open());

        $this->post($this->path('/proposal/drop'), []);
        self::assertCount(2, $this->snapshot()->plantings);
        $this->post($this->path('/proposal'), ['all' => '1']);
        self::assertResponseRedirects($this->path('/plan'));
        self::assertCount(2, $this->snapshot()->plantings);
        $this->post($this->path('/log/2/take-back'), []);
        self::assertCount(1, $this->snapshot()->plantings);
    }

    public function testNothingTickedAndUnknownTicksTakeNothing(): void
    {
        $this->draw();
        $before = $this->everything();
        foreach ([[], ['take' => ['p99']], ['take' => 'p0']] as $fields) {
            $this->post($this->path('/proposal'), $fields);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString('Nothing is ticked', $this->text());
        }
        self::assertSame($before, $this->everything());
    }

    public function testEachChangeShowsWhyAndItsPriceWithTheWorking(): void
    {
        $this->draw();
        $this->browser->request('GET', $this->path('/proposal'));

        self::assertStringContainsString('It serves 22 heads on 3 Jun 2026', $this->text());
        self::assertStringContainsString('setting up + length × (work and plants of a length + bed days × value of a length and week / 7)', $this->text());
        self::assertStringContainsString('It is in the ground.', $this->text());
    }

    public function testWhatWasChangedSinceIsMarkedAndNotTaken(): void
    {
        $this->draw();
        $this->post($this->path('/proposal'), ['all' => '1']);
        $day = Day::parse('2026-06-03')->number;
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-01',
            'q' => ['lettuce' => [$day => '', $day + 7 => '', $day + 14 => '']]]);
        $this->draw();
        $goes = array_values(array_filter($this->open(), static fn (ProposedChange $c): bool => null !== $c->old));
        self::assertNotSame([], $goes);
        $planting = $goes[0]->old;
        self::assertInstanceOf(Planting::class, $planting);
        $this->post($this->path('/planting/'.$this->service(Snapshot::class)->plantingIds($this->garden)[$planting->key].'/change'),
            ['do' => 'lock', 'seen' => PlantingMark::of($planting)]);
        $this->browser->request('GET', $this->path('/proposal'));
        self::assertStringContainsString('It was changed since this was drawn up', $this->text());

        $this->post($this->path('/proposal'), ['take' => [$goes[0]->id]]);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/proposal'), ['all' => '1']);
        self::assertContains($planting->key, array_map(static fn (Planting $p): string => $p->key, $this->snapshot()->plantings->all()));
    }

    public function testGroundTakenMeanwhileIsAskedAndNothingIsKeptByHalves(): void
    {
        $this->draw();
        $fresh = $this->open()[0]->planting();
        $this->post($this->path('/standing'), ['keep' => '1', 'column' => ['bed', 'crop', 'date', 'length'],
            'cell' => [[$fresh->pieces[0]->bed, 'garlic', 'planted 1 March', '25 m']]]);
        self::assertResponseStatusCodeSame(303);
        $before = $this->everything();
        $this->post($this->path('/proposal'), ['all' => '1']);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Garlic stands on bed '.$fresh->pieces[0]->bed, $this->text());
        self::assertSame($before, $this->everything());
    }

    public function testByProductAndByBlock(): void
    {
        $this->post($this->path('/promises'), ['outlet' => 'stall', 'from' => '2026-08-03',
            'q' => ['corn' => [Day::parse('2026-08-08')->number => '30']]]);
        $this->draw('product:corn');
        self::assertSame(['corn'], array_values(array_unique(array_map(static fn (ProposedChange $c): string => $c->planting()->item,
            $this->open()))));
        $this->draw('block:T');
        self::assertSame(['T1'], array_values(array_unique(array_map(static fn (ProposedChange $c): string => $c->planting()->pieces[0]->bed, $this->open()))));
    }

    private function draw(string $what = ''): void
    {
        $this->post($this->path('/plan'), ['what' => $what]);
        self::assertResponseRedirects($this->path('/proposal'));
    }

    /** @return list<ProposedChange> */
    private function open(): array
    {
        return $this->service(Proposals::class)->find($this->garden, $this->snapshot())->changes ?? [];
    }
}
