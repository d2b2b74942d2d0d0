<?php

declare(strict_types=1);

namespace App\Tests\Wall;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;

/** Radishes on A1, sown 14 April, and lettuce on A2: moved, lengthened, swapped and deleted on the wall, as a draft and as one change. */
final class WallWorkTest extends AppCase
{
    private const RADISH = 'radish@2026-04-14#1';
    private const LETTUCE = 'lettuce-head@2026-03-20#1';

    protected function setUp(): void
    {
        parent::setUp();
        $planting = static fn (string $key, string $bed, string $method, array $days, float $perMetre): array => ['key' => $key,
            'item' => explode('@', $key)[0], 'method' => $method, 'place' => 'field', 'recipe' => 'compost-mulch', 'sow' => $days[0],
            'ground' => $days[1], 'bed_start' => $days[1], 'ready' => $days[2], 'clear' => $days[3], 'per_metre' => $perMetre,
            'standing' => 'planned', 'locked' => false, 'remarks' => [], 'pieces' => [['bed' => $bed, 'from_mm' => 0, 'to_mm' => 12500,
                'width_share' => 1.0]]];
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => $planting(self::RADISH, 'A1', 'sown', ['2026-04-14',
            '2026-04-14',
            '2026-05-14', '2026-05-20'], 11.0), 2 => $planting(self::LETTUCE, 'A2', 'transplanted', ['2026-03-20', '2026-04-17',
                '2026-05-31', '2026-06-07'], 9.0)]]));
    }

    public function testWhereItMayGo(): void
    {
        $this->browser->request('GET', $this->path('/wall/places?planting='.urlencode(self::RADISH).'&when=2026-04-17'));
        /** @var array{beds: array<string, array{string, string}>} $got */
        $got = json_decode((string) $this->browser->getResponse()->getContent(), true);

        self::assertSame(['A1' => 'may', 'A2' => 'may', 'A3' => 'may'], array_map(static fn (array $b): string => $b[0], array_diff_key(
            $got['beds'], ['T1' => 1])), 'the leeks of A3 are gone by then');
        $this->browser->request('GET', $this->path('/wall/places?planting='.urlencode(self::RADISH).'&when=2026-04-03'));
        self::assertStringContainsString('"A3":["not","Bed A3 has no 12.5', (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', $this->path('/wall/places?planting=none'));
        self::assertResponseStatusCodeSame(404);
    }

    /** Nothing is kept by trying; the row of the bed comes back as it would be. */
    public function testTryingKeepsNothing(): void
    {
        $before = $this->everything();
        $this->draft('try', [['do' => 'move', 'planting' => self::RADISH, 'when' => '2026-04-17', 'bed' => 'A2'], ['do' => 'longer',
            'planting' => self::RADISH]]);

        self::assertResponseIsSuccessful();
        self::assertStringContainsString('moved to bed A2, sown', $this->text());
        self::assertStringContainsString('data-row="A2"', $this->text());
        self::assertStringContainsString('✕', $this->text(), '18.75 m are not free beside the lettuce');
        self::assertSame($before, $this->everything());
    }

    /** Three changes are one entry of the log, and taken back as one. */
    public function testADraftIsSavedAsOne(): void
    {
        $before = $this->plantings();
        $seen = $this->draft('try', [['do' => 'move', 'planting' => self::RADISH, 'when' => '2026-04-21']]);
        $this->draft('save', [['do' => 'move', 'planting' => self::RADISH, 'when' => '2026-04-21'], ['do' => 'swap',
            'planting' => self::RADISH,
            'with' => self::LETTUCE], ['do' => 'shorter', 'planting' => self::LETTUCE], ['do' => 'again', 'planting' => self::RADISH,
                'when' => '2026-05-05', 'bed' => 'A3']], $seen);
        self::assertResponseIsSuccessful();
        $after = $this->plantings();

        self::assertSame(['A2', '2026-04-21', 12.5], $after[self::RADISH]);
        self::assertSame(['A1', '2026-03-20', 6.25], $after[self::LETTUCE]);
        self::assertSame(['A3', '2026-05-05', 12.5], $after['radish@2026-05-05#1']);
        $this->browser->request('GET', $this->path('/wall'));
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->plantings());
        $this->browser->request('GET', $this->path('/wall'));
        $this->browser->submitForm('Redo');
        self::assertSame($after, $this->plantings());
    }

    /** What is made in a draft may be changed and deleted in it again. */
    public function testWhatADraftMadeGoesAgain(): void
    {
        $before = $this->plantings();
        $this->draft('save', [['do' => 'again', 'planting' => self::RADISH, 'when' => '2026-05-05', 'bed' => 'A3'], ['do' => 'delete',
            'planting' => 'radish@2026-05-05#1'], ['do' => 'shorter', 'planting' => self::LETTUCE]]);

        $before[self::LETTUCE][2] = 6.25;
        self::assertSame($before, $this->plantings());
    }

    /** Sent twice with one token it is done once. */
    public function testSentTwiceIsDoneOnce(): void
    {
        foreach ([1, 2] as $time) {
            $this->draft('save', [['do' => 'shorter', 'planting' => self::RADISH]], '{}', 'one-and-the-same');
            self::assertResponseIsSuccessful();
        }
        self::assertSame(6.25, $this->plantings()[self::RADISH][2]);
        $this->draft('save', [['do' => 'delete', 'planting' => self::RADISH]]);
        self::assertArrayNotHasKey(self::RADISH, $this->plantings());
    }

    /** Changed by somebody else since, or not possible: asked about, and nothing is kept. */
    public function testTheSecondIsAsked(): void
    {
        $seen = $this->draft('try', [['do' => 'shorter', 'planting' => self::RADISH]]);
        $this->draft('save', [['do' => 'move', 'planting' => self::RADISH, 'when' => '2026-04-28']]);
        $before = $this->plantings();
        $this->draft('save', [['do' => 'shorter', 'planting' => self::RADISH]], $seen);
        self::assertResponseStatusCodeSame(409);
        $this->draft('save', [['do' => 'move', 'planting' => self::RADISH, 'bed' => 'nowhere'], ['do' => 'delete',
            'planting' => self::LETTUCE]]);
        self::assertResponseStatusCodeSame(409);
        $this->draft('save', []);
        self::assertResponseStatusCodeSame(409);

        self::assertSame($before, $this->plantings());
    }

    public function testTheVersionIsTheLastChange(): void
    {
        $was = $this->version();
        $this->draft('save', [['do' => 'lock', 'planting' => self::RADISH]]);

        self::assertSame([$was[0] + 1, 'Radish on bed A1 (sown 14 Apr) locked'], $this->version());
    }

    public function testTheRotation(): void
    {
        $page = $this->browser->request('GET', $this->path('/rotation?family=Cabbage'));
        self::assertSame('● Cabbage: Radish, still to come', trim((string) preg_replace('/\s+/', ' ',
            $page->filter('.fam-cabbage.planned')->text())));
        self::assertSame(1, $page->filter('.fam-daisy.faint')->count(), 'the lettuce fades');
        self::assertSame(1, $page->filter('.fam-goosefoot')->reduce(static fn ($n): bool => str_contains($n->text(), 'Chard'))->count());
    }

    /** Twelve metres and a half of 25 are free beside the radishes; all of it where nothing stands; none beside the leeks. */
    public function testAFreeStretchIsFound(): void
    {
        $page = $this->browser->request('GET', $this->path('/wall?free=20+m&free_from=2026-04-20&free_to=2026-05-10'));
        self::assertStringContainsString('20 m free from 20 Apr to 10 May on A3 (25 m), T1 (25 m).', strip_tags($this->text()));
        self::assertSame(2, $page->filter('.free-stretch')->count());
        $page = $this->browser->request('GET', $this->path('/wall?free=12.5+m&free_from=2026-04-06&free_to=2026-05-10'));
        self::assertSame(3, $page->filter('.free-stretch')->count(), 'A1, A2 and the tunnel; the leeks go on 6 April');
        $this->browser->request('GET', $this->path('/wall?free=26+m&free_from=2026-04-20&free_to=2026-05-10'));
        self::assertStringContainsString('No bed has 26 m in one piece', strip_tags($this->text()));
        $this->browser->request('GET', $this->path('/wall?free=long&free_from=2026-04-20&free_to=2026-04-01'));
        self::assertResponseStatusCodeSame(422);
    }

    /** A month from a day on: wider weeks, the same beds; what lies outside is not drawn. */
    public function testZoomAndPan(): void
    {
        $page = $this->browser->request('GET', $this->path('/wall?zoom=month&from=2026-03-18'));
        self::assertSame('1140', $page->filter('svg[data-row]')->first()->attr('width'));
        self::assertSame([self::LETTUCE, self::RADISH], $this->sorted($page->filter('a.planting')->each(
            static fn ($a): string => (string) $a->attr('data-key')), [self::LETTUCE, self::RADISH]));
        $page = $this->browser->click($page->filter('a[aria-label="Later"]')->link());
        self::assertSame('2026-04-13', $page->filter('[data-wall]')->attr('data-from'), 'from Monday the 16th four weeks on');
    }

    /**
     * @param list<string> $all
     * @param list<string> $wanted
     *
     * @return list<string>
     */
    private function sorted(array $all, array $wanted): array
    {
        $there = array_values(array_unique(array_intersect($all, $wanted)));
        sort($there);

        return $there;
    }

    /**
     * @param list<array<string, string>> $changes
     *
     * @return string marks of what was seen
     */
    private function draft(string $act, array $changes, string $seen = '{}', string $token = ''): string
    {
        $this->post($this->path('/wall/'.$act), ['changes' => (string) json_encode($changes), 'seen' => $seen, 'token' => $token]);

        return 1 === preg_match('/data-seen="([^"]*)"/', (string) $this->browser->getResponse()->getContent(), $found)
            ? html_entity_decode($found[1]) : '{}';
    }

    /** @return array{int, string} number and words */
    private function version(): array
    {
        $this->browser->request('GET', $this->path('/wall/version'));
        /** @var array{number: int, words: string} $got */
        $got = json_decode((string) $this->browser->getResponse()->getContent(), true);

        return [$got['number'], $got['words']];
    }

    /** @return array<string, array{string, string, float}> bed, sowing day and metres, by key */
    private function plantings(): array
    {
        $all = [];
        foreach ($this->snapshot()->plantings->all() as $p) {
            $all[$p->key] = [$p->pieces[0]->bed, $p->sow->iso(), $p->length()->metres()];
        }
        ksort($all);

        return $all;
    }
}
