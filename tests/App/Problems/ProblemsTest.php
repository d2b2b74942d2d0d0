<?php

declare(strict_types=1);

namespace App\Tests\Problems;

use App\Change\Replacement;
use App\Problems\Problem;
use App\Problems\ProblemKind;
use App\Problems\ProblemList;
use App\Problems\WayOut;
use App\Problems\WaysOut;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use App\Wall\Draft;
use App\Wall\WallChange;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Time\Day;

/** Lettuce is promised and not planned; radishes were to be sown ten days ago; two more would overlap on A2. */
final class ProblemsTest extends AppCase
{
    private const LATE = 'radish@2026-02-20#1';
    private const OVER = 'radish@2026-04-14#2';

    protected function setUp(): void
    {
        parent::setUp();
        $radish = static fn (string $key, string $bed, string $sow, string $ready, string $clear, int $from = 0): array => ['key' => $key,
            'item' => 'radish', 'method' => 'sown', 'place' => 'field', 'recipe' => 'compost-mulch', 'sow' => $sow, 'ground' => $sow,
            'bed_start' => $sow, 'ready' => $ready, 'clear' => $clear, 'per_metre' => 11.0, 'standing' => 'planned', 'locked' => false,
            'remarks' => [], 'pieces' => [['bed' => $bed, 'from_mm' => $from, 'to_mm' => $from + 6000, 'width_share' => 1.0]]];
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => $radish(self::LATE, 'A1', '2026-02-20', '2026-04-20',
            '2026-04-26'),
            2 => $radish('radish@2026-04-14#1', 'A2', '2026-04-14', '2026-05-14', '2026-05-20'), 3 => $radish(self::OVER, 'A2',
                '2026-04-14',
                '2026-05-14', '2026-05-20', 6000)]]));
    }

    public function testWhatIsWrongTheDearestFirst(): void
    {
        $problems = $this->service(ProblemList::class)->of($this->garden);
        $cents = array_map(static fn (Problem $p): float => $p->cents, $problems);
        $sorted = $cents;
        rsort($sorted);

        self::assertSame($sorted, $cents);
        self::assertSame([ProblemKind::Short, 'lettuce-head', 11880.0], [$problems[0]->kind, $problems[0]->about, $problems[0]->cents],
            'sixty heads at 1.80, with a tenth more for what is lost in packing');
        $about = [];
        foreach ($problems as $problem) {
            $about[$problem->kind->value][] = $problem->about;
        }
        self::assertSame([self::LATE], $about['late'] ?? []);
        self::assertArrayNotHasKey('barred', $about);
    }

    /** Every way out can be made, breaks no hard rule, and does what it says of the promise. */
    public function testEachWayOutIsPossible(): void
    {
        $garden = $this->snapshot();
        $change = $this->service(WallChange::class);
        $tried = [];
        foreach ($this->service(ProblemList::class)->of($this->garden) as $problem) {
            foreach ($this->service(WaysOut::class)->of($garden, $problem->kind, $problem->about) as $way) {
                if ('' !== $way->route) {
                    continue;
                }
                $draft = Draft::of($garden, $way->changes, $change->in(...));
                $dryRun = DryRun::of($this->service(Planner::class), $this->service(CropBook::class), $garden, array_values($draft->old),
                    array_values($draft->new));
                self::assertSame([], $draft->faults, $way->words);
                self::assertTrue($dryRun->isPossible(), $way->words);
                ProblemKind::Short !== $problem->kind ?: self::assertGreaterThan(0.0, $dryRun->worth, $way->words);
                $tried[$problem->kind->value] = ($tried[$problem->kind->value] ?? 0) + 1;
            }
        }
        self::assertArrayHasKey('short', $tried);
        self::assertArrayHasKey('late', $tried);
    }

    /** Two that overlap: one may go to another bed, or be taken out; both ways leave nothing hard. */
    public function testWhatOverlapsGoesElsewhere(): void
    {
        $garden = $this->snapshot();
        $over = $garden->plantings->get(self::OVER) ?? self::fail();
        $before = $garden->plantings->get(self::LATE) ?? self::fail();
        $garden = $garden->with($garden->plantings->with($before->but(pieces: [Stretch::of('A1', 0, 25_000_000)],
            dates: $before->dates()->endedOn(Day::parse('2026-04-05'))), $over->but(pieces: [Stretch::of('A2', 3_000_000, 9_000_000)])));
        $ways = $this->service(WaysOut::class)->of($garden, ProblemKind::Barred, self::OVER);

        $told = array_map(static fn (WayOut $w): string => $w->changes[0]['do'].' '.($w->changes[0]['bed'] ?? ''), $ways);
        self::assertSame(['move A3', 'move T1', 'delete '], $told, 'on A1 the family would come back too soon');
        foreach ($ways as $way) {
            $draft = Draft::of($garden, $way->changes, $this->service(WallChange::class)->in(...));
            self::assertSame([], (new Conflicts($this->service(CropBook::class)))->hard($draft->after, self::OVER, 'radish@2026-04-14#1'),
                $way->words);
        }
    }

    /** A way out of lateness lies on the next Tuesday or Friday, the sowing days here, on which the soil is warm enough. */
    public function testLateIsSownOnTheNextSowingDays(): void
    {
        $ways = $this->service(WaysOut::class)->of($this->snapshot(), ProblemKind::Late, self::LATE);

        self::assertSame(['move', 'move', 'delete'], array_map(static fn (WayOut $w): string => $w->changes[0]['do'], $ways));
        self::assertSame(['2026-03-20', '2026-03-24'], array_map(static fn (WayOut $w): string => $w->changes[0]['when'] ?? '',
            \array_slice($ways,
                0, 2)));
    }

    public function testThePageAndItsPart(): void
    {
        $page = $this->browser->request('GET', $this->path('/wall/problems'));
        self::assertStringContainsString('60 heads short on 3 market days, first 3 Jun', (string) preg_replace('/\s+/', ' ',
            $page->filter('.problem-short')->text()));
        $page = $this->browser->request('GET', $this->path('/wall/problems/late?about='.urlencode(self::LATE)));
        self::assertSame(3, $page->filter('button[data-draft-add]')->count());
        $this->browser->submit($page->filter('button[data-draft-add]')->first()->form());
        self::assertResponseRedirects();
        self::assertSame('2026-03-20', $this->snapshot()->plantings->get(self::LATE)?->sow->iso(), 'without scripts it is saved at once');
        $this->browser->request('GET', $this->path('/wall/problems/boredom'));
        self::assertResponseStatusCodeSame(404);
    }

    public function testTheShelfAndWhatIsPutOnTheWall(): void
    {
        $page = $this->browser->request('GET', $this->path('/wall/shelf'));
        self::assertSame(['lettuce-head'], $page->filter('.shelf-group')->first()->filter('[data-shelf]')->each(
            static fn ($li): string => (string) $li->attr('data-shelf')), 'what is short first');
        $add = $this->service(WallChange::class)->in(['do' => 'add', 'item' => 'radish', 'when' => '2026-04-21', 'bed' => 'A1'],
            $this->snapshot());
        self::assertInstanceOf(Replacement::class, $add);
        self::assertSame([6.25, '2026-04-21', 'A1'], [$add->new[0]->length()->metres(), $add->new[0]->sow->iso(),
            $add->new[0]->pieces[0]->bed],
            'a quarter of the bed');
        foreach ([['item' => 'gold', 'when' => '2026-04-21', 'bed' => 'A1'], ['item' => 'radish', 'when' => 'soon', 'bed' => 'A1'],
            ['item' => 'radish', 'when' => '2026-04-21', 'bed' => 'Z9'], ['item' => 'tomato', 'when' => '2026-11-24',
                'bed' => 'A1']] as $wrong) {
            self::assertNotInstanceOf(Replacement::class, $this->service(WallChange::class)->in(['do' => 'add', ...$wrong],
                $this->snapshot()));
        }
    }
}
