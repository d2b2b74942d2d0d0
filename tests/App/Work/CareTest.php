<?php

declare(strict_types=1);

namespace App\Tests\Work;

use App\Books\CareFile;
use App\Codec\UnusableFile;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\BlockRules;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Land\Paths;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\SowingWindows;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\CareStep;
use JollyFurrow\Work\PathCare;
use PHPUnit\Framework\Attributes\TestWith;

final class CareTest extends AppCase
{
    private const SHIPPED = __DIR__.'/../../../data/care.yaml';

    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep((string) file_get_contents(__DIR__.'/../../../demo/garden.json'));
    }

    /** Common practice: the blind pass just before it is up, weeds about every ten days to two weeks until the crop closes. */
    public function testASowingIsCaredForByItsTrueStages(): void
    {
        $carrot = $this->planted('carrot', Method::Sown, '2026-05-12');
        $up = $this->up($carrot);
        $steps = $this->care($carrot);
        $of = static fn (string $name): array => array_values(array_map(static fn (CareStep $s): int => $s->day->number,
            array_filter($steps, static fn (CareStep $s): bool => str_starts_with($s->name, $name))));

        self::assertSame([$up - 2], $of('Blind pass'));
        $weeds = $of('Weed pass');
        self::assertGreaterThanOrEqual(3, \count($weeds));
        self::assertSame($up + 10, $weeds[0]);
        foreach (\array_slice($weeds, 1) as $i => $day) {
            self::assertTrue($day - $weeds[$i] >= 10 && $day - $weeds[$i] <= 14);
        }
        self::assertLessThan($carrot->ready->number - 14, end($weeds), 'it has closed by then');
        self::assertEqualsWithDelta(1.5 * 10 / 100, array_values(array_filter($steps,
            static fn (CareStep $s): bool => str_starts_with($s->name, 'Weed')))[0]->hours, 1e-9);
    }

    #[TestWith(['lettuce-leaf', 'sown', '2026-05-12', 'Rake after the cut', 2])]
    #[TestWith(['potato-storage', 'sown', '2026-04-28', 'Draw up the hills', 2])]
    #[TestWith(['potato-early', 'sown', '2026-04-28', 'Draw up the hills', 1])]
    #[TestWith(['lettuce-head', 'transplanted', '2026-04-14', 'Blind pass', 0])]
    #[TestWith(['radish', 'sown', '2026-07-14', 'Blind pass', 0])]
    #[TestWith(['pea', 'sown', '2026-03-24', 'Put up supports', 1])]
    #[TestWith(['beet', 'sown', '2026-05-12', 'Thin to the stand', 1])]
    #[TestWith(['leek', 'transplanted', '2026-03-24', 'Draw earth', 1])]
    public function testWhatACropAsksForAndHowOften(string $key, string $method, string $sow, string $name, int $times): void
    {
        $steps = array_filter($this->care($this->planted($key, Method::from($method), $sow)),
            static fn (CareStep $s): bool => str_starts_with($s->name, $name));

        self::assertCount($times, $steps);
    }

    /** Under a cover there is no pass with the hoe: it is opened every ten to twelve days, and off at flowering. */
    public function testACoverIsOpenedForWeeding(): void
    {
        $squash = $this->planted('squash-summer', Method::Sown, '2026-05-26');
        $cover = Protection::overBed('A1', Cover::RowCover, Purpose::Insects, Period::fromFirstToLast($squash->ground, $squash->ready));
        $garden = $this->snapshot()->covered([$cover]);
        $names = array_map(static fn (CareStep $s): string => $s->name, (new CareCalendar($garden, $this->service(CropBook::class),
            $this->service(RecipeBook::class),
            $this->service(CareFile::class)->load()))->of($squash));

        self::assertContains('Open the cover and weed', $names);
        self::assertContains('Take the cover off for the bees', $names);
        self::assertLessThan(\count($this->weeds($this->care($squash))), \count($this->weeds($names)),
            'fewer passes with the hoe than in the open');
    }

    /**
     * @param list<CareStep>|list<string> $steps
     *
     * @return list<string>
     */
    private function weeds(array $steps): array
    {
        return array_values(array_filter(array_map(static fn (CareStep|string $s): string => \is_string($s) ? $s : $s->name, $steps),
            static fn (string $n): bool => str_starts_with($n, 'Weed pass')));
    }

    /** Hoed every fortnight, mown every two to three weeks, mulched once a year; half a year on in the south. */
    public function testPathsByBlock(): void
    {
        $garden = $this->snapshot();
        $ruled = $garden->set($garden->settings->ruledBy(new PlanRules(blocks: [$garden->blocks[0] => new BlockRules(paths: Paths::Living), $garden->blocks[1] => new BlockRules(paths: Paths::Mulched)])));
        $care = PathCare::between($ruled, Day::parse('2026-01-01'), Day::parse('2026-12-31'));
        $of = static fn (string $block): array => array_values(array_filter($care, static fn (PathCare $c): bool => $c->block === $block));

        self::assertSame([11, 1, 14], array_map(static fn (string $block): int => \count($of($block)), \array_slice($garden->blocks, 0,
            3)));
        self::assertSame(['Mow the living paths', '2026-04-01'], [$of($garden->blocks[0])[0]->paths->work(),
            $of($garden->blocks[0])[0]->day->iso()]);
        self::assertEqualsWithDelta(0.4 * $of($garden->blocks[0])[0]->metres / 100, $of($garden->blocks[0])[0]->hours, 1e-9);
        $south = PathCare::between(new Garden($ruled->name, $ruled->today, new Place('South', -40.0, 10, $ruled->place->firstFrost,
            $ruled->place->lastFrost), $ruled->settings, $ruled->blocks, $ruled->beds, [], [], [], [], []), Day::parse('2026-06-01'),
            Day::parse('2026-08-31'));
        self::assertSame([], $south, 'no paths are hoed in the southern winter');
    }

    /** Stakes stand from when they are put up until the bed is cleared. */
    public function testSupportsAreKit(): void
    {
        $pea = $this->planted('pea', Method::Sown, '2026-03-24');
        $calendar = new CareCalendar($this->snapshot(), $this->service(CropBook::class), $this->service(RecipeBook::class),
            $this->service(CareFile::class)->load());

        self::assertEquals([[Kit::Stakes, $pea->ground, $pea->clear]], $calendar->supports($pea));
        self::assertSame([], $calendar->supports($this->planted('carrot', Method::Sown, '2026-05-12')));
    }

    /** Never before it stands, never after its bed is cleared; an emergence that was noted moves what comes after. */
    public function testCareLiesWhileTheCropStands(): void
    {
        foreach (['carrot', 'tomato', 'bean-bush', 'kale', 'squash-summer', 'spinach'] as $key) {
            $crop = $this->service(CropBook::class)->get($key);
            $place = $crop->places()[0] ?? PlaceType::Field;
            $method = $crop->methods()[0] ?? Method::Sown;
            $window = SowingWindows::of($this->snapshot(), $crop, $place, $method)[0] ?? null;
            $planting = $this->planted($key, $method, $window?->from->in(2026)->plus(10)->plus(Method::Sown === $method ? 0
                : -$crop->timing->nurseryDays)->iso() ?? '2026-05-20', $place);
            foreach ($this->care($planting) as $step) {
                self::assertFalse($step->day->isBefore($planting->ground), $key.' '.$step->name);
                self::assertFalse($planting->clear->isBefore($step->day), $key.' '.$step->name);
            }
        }
    }

    public function testFernsAreCutOnTheirDayOfEveryYear(): void
    {
        $asparagus = array_values(array_filter($this->snapshot()->plantings->all(),
            static fn (Planting $p): bool => 'asparagus' === $p->item))[0];
        $cuts = array_map(static fn (CareStep $s): string => substr($s->day->iso(), 5),
            array_values(array_filter($this->care($asparagus), static fn (CareStep $s): bool => str_contains($s->name, 'fern'))));

        self::assertGreaterThanOrEqual(2, \count($cuts));
        self::assertSame(['11-15'], array_values(array_unique($cuts)));
    }

    /** A hoe reaches no soil under fabric; slips are not raked over; garlic is not hoed in winter. */
    public function testPassesKnowStockMulchAndCold(): void
    {
        $passes = fn (Planting $planting): array => array_values(array_filter($this->care($planting),
            static fn (CareStep $s): bool => str_contains($s->name, 'pass')));
        $squash = $this->planted('squash-summer', Method::Transplanted, '2026-04-28');
        self::assertNotSame([], $passes($squash->but(recipe: 'compost-mulch')));
        self::assertSame([], $passes($squash->but(recipe: 'fabric-mulch')));
        self::assertNotContains('Blind pass just before it comes up', array_map(static fn (CareStep $s): string => $s->name,
            $this->care($this->planted('onion-set', Method::Sown, '2026-04-07'))));
        $garlic = array_map(static fn (CareStep $s): int => $s->day->month(), $passes($this->planted('garlic', Method::Sown,
            '2026-10-13')));
        self::assertNotSame([], $garlic);
        self::assertSame([], array_intersect($garlic, [12, 1, 2]));
    }

    /** Hilling is done or left, planting by planting; it is kept, told and taken back. */
    public function testAPieceOfCareIsLeftOutForOnePlanting(): void
    {
        $potato = $this->planted('potato-early', Method::Sown, '2026-04-14');
        $hills = fn (Planting $p): int => \count(array_filter($this->care($p), static fn (CareStep $s): bool => str_contains($s->name,
            'hills')));
        self::assertSame([1, 0], [$hills($potato), $hills($potato->but(careLeftOut: ['hill-first']))]);

        $leek = array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => 'leek' === $p->item))[0];
        $path = $this->path('/planting/'.$this->service(Snapshot::class)->plantingIds($this->garden)[$leek->key]);
        $this->browser->request('GET', $path);
        $this->browser->submitForm('Leave it out');
        self::assertResponseRedirects($path);
        self::assertSame(['earth-up'], $this->snapshot()->plantings->get($leek->key)?->careLeftOut);
        $this->browser->followRedirect();
        self::assertStringContainsString('left out', $this->text());
        $this->browser->submitForm('Undo');
        self::assertSame([], $this->snapshot()->plantings->get($leek->key)?->careLeftOut);
    }

    /** Rain brings a second flush: a pass again, but not where it stayed dry, nor where the next is due anyway. */
    public function testRainAfterAPassBringsAPassAgain(): void
    {
        $carrot = $this->planted('carrot', Method::Sown, '2026-05-12')->but(standing: Standing::Growing);
        $weeds = array_values(array_filter($this->care($carrot), static fn (CareStep $s): bool => str_starts_with($s->name, 'Weed pass')));
        $care = function (int $after, float $mm) use ($carrot, $weeds): array {
            $today = $weeds[0]->day->plus($after);
            $g = $this->snapshot();
            $rain = DailyRecord::fromRows(array_map(static fn (int $n): array => [$today->number - $n, 9.0, 19.0, $mm], range(1, 3)));
            $climate = new PlaceClimate($g->climate->climate, $g->climate->months, null, $g->climate->frost, $rain, true);
            $garden = new Garden($g->name, $today, $g->place, $g->settings, $g->blocks, $g->beds, [], [], [], [], [$carrot], [], $climate);

            return (new CareCalendar($garden, $this->service(CropBook::class), $this->service(RecipeBook::class),
                (new CareFile(self::SHIPPED))->load()))->of($carrot);
        };
        $again = static fn (int $after, float $mm): array => array_values(array_filter($care($after, $mm),
            static fn (CareStep $s): bool => str_contains($s->name, 'again, after')));
        $ordinary = static fn (int $after, float $mm): int => \count(array_filter($care($after, $mm),
            static fn (CareStep $s): bool => 'Weed pass while weeds are in thread stage' === $s->name));

        self::assertSame(['Weed pass again, after rain'], array_map(static fn (CareStep $s): string => $s->name, $again(3, 6.0)));
        self::assertSame(1, $ordinary(3, 1.0) - $ordinary(3, 6.0), 'it takes the place of the ordinary one near it');
        self::assertSame([], $again(3, 1.0), 'a shower brings nothing up');
        self::assertSame([], $again(11, 6.0), 'the next pass is due by then');
    }

    public function testABrokenRuleOfCareIsToldAtItsField(): void
    {
        self::assertNotSame([], (new CareFile(self::SHIPPED))->load($this->service(CropBook::class)));
        foreach (['{ name: X, after: 2, hours: 1.0, tool: wand, source: practice }' => 'x.tool',
            '{ name: X, hours: 1.0, tool: hoe, source: practice }' => 'x.after',
            '{ name: X, after: 2, crops: [moonfruit], hours: 1.0, tool: hoe, source: practice }' => 'x.crops',
            '{ name: X, after: 2, hours: -1.0, tool: hoe, source: practice }' => 'x.hours',
            '{ name: X, after: 2, every: 0, hours: 1.0, tool: hoe, source: practice }' => 'x.every'] as $rule => $at) {
            $file = (string) tempnam(sys_get_temp_dir(), 'care');
            file_put_contents($file, 'x: '.$rule);
            try {
                (new CareFile($file))->load($this->service(CropBook::class));
                self::fail($at);
            } catch (UnusableFile $bad) {
                self::assertSame($at, $bad->faults[0]['path']);
            }
        }
    }

    private function planted(string $key, Method $method, string $sow, PlaceType $place = PlaceType::Field): Planting
    {
        $way = (new Candidates($this->snapshot(),
            $this->service(RecipeBook::class)))->sownOn($this->service(CropBook::class)->get($key), Day::parse($sow), $place, $method);
        self::assertNotNull($way, $key);

        return new Planting($key.'@'.$sow.'#9', $key, $method, $place, $way->recipe, Day::of($way->sow), Day::of($way->ground),
            Day::of($way->bedStart), Day::of($way->ready), Day::of($way->lastField), $way->perMetre,
            [Stretch::of(PlaceType::Field === $place ? 'A1' : 'T1-1', 0, 10_000_000)], Standing::Planned, false);
    }

    /** @return list<CareStep> */
    private function care(Planting $planting): array
    {
        return (new CareCalendar($this->snapshot(), $this->service(CropBook::class), $this->service(RecipeBook::class),
            (new CareFile(self::SHIPPED))->load()))->of($planting);
    }

    private function up(Planting $planting): int
    {
        return $this->snapshot()->timing()?->of($this->service(CropBook::class)->get($planting->item),
            Cover::None)->emerges($planting->ground->number) ?? 0;
    }
}
