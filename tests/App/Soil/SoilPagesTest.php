<?php

declare(strict_types=1);

namespace App\Tests\Soil;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;

/** Journeys through soil, shed, feeding and water: typed, refused, kept, taken back. */
final class SoilPagesTest extends AppCase
{
    private const SHED = ['feeding' => ['school' => 'by-test', 'rates_are_of' => 'beds', 'compost' => 'none', 'short' => 0.1,
        'mix_cents' => 300,
        'untested' => 2, 'tunnels' => 3, 'organic' => 1.0, 'texture' => 'loam', 'source_hours' => 8.0], 'shed' => [
        ['key' => 'meal', 'name' => 'Feather meal', 'n' => 12, 'p2o5' => 0, 'k2o' => 0, 'cents_per_kg' => 180, 'release' => 'soluble',
            'manure' => 'none', 'measure' => 'scoop', 'step_kg' => 0.25],
        ['key' => 'all', 'name' => 'All round', 'n' => 4, 'p2o5' => 6, 'k2o' => 8, 'cents_per_kg' => 60, 'release' => 'soluble',
            'manure' => 'none',
            'step_kg' => 0.5],
        ['key' => 'cow', 'name' => 'Cow manure', 'n' => 0.6, 'p2o5' => 0.3, 'k2o' => 0.7, 'cents_per_kg' => 900, 'release' => 'manure',
            'manure' => 'raw', 'step_kg' => 50]],
        'plantings' => [1 => ['key' => 'radish@2026-03-03#1', 'item' => 'radish', 'method' => 'sown', 'place' => 'field',
            'recipe' => 'broadfork-harrow', 'sow' => '2026-03-03', 'ground' => '2026-03-03', 'bed_start' => '2026-02-25',
                'ready' => '2026-04-12',
            'clear' => '2026-04-20', 'per_metre' => 11.0, 'standing' => 'planned', 'locked' => true, 'remarks' => [],
            'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 6000, 'width_share' => 1.0]]]]];

    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json(self::SHED));
    }

    public function testATestIsTypedAndSaysWhatToDo(): void
    {
        $before = $this->exported();
        $this->post($this->path('/soil'), ['place' => 'A1', 'day' => '2026-02-02', 'ph' => '5.3', 'p' => '60', 'pBy' => 'mehlich-3',
            'unit' => 'lb/acre', 'organic' => '4,5', 'texture' => 'loam']);
        self::assertResponseRedirects();
        $test = $this->snapshot()->soil->tests[0];
        self::assertSame(['t1', 'A1', 5.3, 30.0, Extract::Mehlich3, 4.5], [$test->key, $test->bed, $test->ph, $test->p, $test->pBy,
            $test->organic]);
        $this->browser->followRedirect();
        self::assertStringContainsString('Too acid', $this->text());
        self::assertStringContainsString('of ground limestone in all, for pH 6.5', (string) preg_replace('/\s+/', ' ',
            strip_tags($this->text())));
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    /** Put right, and the correction taken back: the first test is there again, in the same place of the file. */
    public function testATestThatIsPutRightIsTakenBackWhole(): void
    {
        $typed = ['place' => 'A1', 'day' => '2026-02-02', 'ph' => '5.3'];
        $this->post($this->path('/soil'), $typed);
        $before = $this->exported();
        $this->post($this->path('/soil'), ['test' => 't1', 'place' => 'A2', 'ph' => '6.1'] + $typed);
        self::assertSame([['A2', 6.1]], array_map(static fn (SoilTest $t): array => [$t->bed, $t->ph], $this->snapshot()->soil->tests));
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    public function testANumberWithoutItsMethodIsAskedAbout(): void
    {
        $this->post($this->path('/soil'), ['place' => 'A1', 'day' => '2026-02-02', 'p' => '60', 'words' => 'kept']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('A number means nothing without it', $this->text());
        self::assertStringContainsString('value="kept"', $this->text());
        $this->post($this->path('/soil'), ['place' => 'A1', 'day' => '2026-02-02']);
        self::assertStringContainsString('Write at least one thing', $this->text());
        self::assertSame([], $this->snapshot()->soil->tests);
    }

    /** Units and a place are asked, then the tests are one change. */
    public function testAReport(): void
    {
        $table = "Sample;pH;P;Organic matter %\nA1;6,1;22;3,9\nWest corner;5.9;18;4.0";
        $this->post($this->path('/soil/report'), ['text' => $table, 'do' => 'keep']);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('What the headings leave open', $this->text());
        self::assertSame([], $this->snapshot()->soil->tests);
        $this->post($this->path('/soil/report'), ['text' => $table, 'do' => 'keep', 'unit-2' => 'mg/kg', 'way-2' => 'olsen',
            'place-2' => 'T',
            'day' => '2026-02-10', 'words' => 'Hollow Laboratory']);
        self::assertResponseRedirects();
        $tests = $this->snapshot()->soil->tests;
        self::assertSame([['A1', 22.0], ['', 18.0]], array_map(static fn ($t): array => [$t->bed, $t->p], $tests));
        self::assertSame('T', $tests[1]->block);
    }

    public function testWhatIsNoReportIsSaid(): void
    {
        $this->post($this->path('/soil/report'), ['text' => "Carrots\t2\nLeeks\t3", 'do' => 'look']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('No table of samples was found here', $this->text());
        $this->post($this->path('/soil/report'), ['text' => 'x', 'do' => 'look', 'day' => '2026-99-99']);
        self::assertResponseStatusCodeSame(422);
    }

    /** A bag of 20 kg for 30.00, elements on its label: 4 % P is 9.166 % P2O5. */
    public function testAProduct(): void
    {
        $this->post($this->path('/shed'), ['name' => 'Bone meal', 'n' => '3', 'p' => '4', 'k' => '0', 'isElement' => '1', 'price' => '30',
            'for' => '20 kg', 'release' => 'meal', 'heat' => 'heat-treated', 'measure' => 'bucket', 'step' => '2.5 kg', 'stock' => '',
                'litre' => '']);
        self::assertResponseRedirects();
        $product = $this->snapshot()->soil->product('bone-meal');
        self::assertSame([150.0, 2.5, null, 9.166], [$product?->cents, $product?->step, $product?->stock, $product?->percent->p2o5]);
        $this->post($this->path('/shed'), ['name' => '', 'n' => '140', 'p' => '0', 'k' => '0', 'price' => '', 'for' => '', 'step' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertGreaterThanOrEqual(4, substr_count($this->text(), 'class="fault"'));
    }

    /** Raw manure: not on top, not on what stands; worked in, it says from when on a harvest may be. */
    public function testRawManure(): void
    {
        $spread = ['place' => 'A2', 'product' => 'cow', 'amount' => '120 kg', 'day' => '2026-02-20', 'workedIn' => ''];
        $this->post($this->path('/shed/spread'), $spread);
        self::assertStringContainsString('must not lie on top', $this->text());
        $this->post($this->path('/shed/spread'), ['place' => 'A3', 'workedIn' => '2026-02-21'] + $spread);
        self::assertStringContainsString('A crop stands there on that day', $this->text());
        self::assertSame([], $this->snapshot()->soil->spreads);
        $this->post($this->path('/shed/spread'), ['workedIn' => '2026-02-21'] + $spread);
        self::assertResponseRedirects();
        self::assertSame([120.0], array_map(static fn (Spread $s): float => $s->kg, $this->snapshot()->soil->spreads));
        $this->browser->followRedirect();
        self::assertStringContainsString('21 Jun', $this->text(), '120 days after 21 February');
    }

    /** The radish of tomorrow is fed today: the line says what to carry, and what was given is written down once. */
    public function testAFeedingJobWritesDownWhatWasGiven(): void
    {
        $this->browser->request('GET', $this->path('/feeding'));
        self::assertStringContainsString('All round', $this->text());
        $this->browser->request('GET', $this->path('/week'));
        self::assertStringContainsString('Feed, at planting,', $this->text());
        $job = $this->browser->getCrawler()->filter('.job:contains("Feed, at planting,") a.job-words')->first()->link();
        $mix = $this->browser->click($job)->filter('.mix')->text();
        self::assertStringContainsString('All round', $mix);
        self::assertStringContainsString('A1', $mix, 'what of it goes on which bed');
        $this->post($this->path('/jobs/do'), ['t' => ['planting:feed-1/1:radish@2026-03-03#1'], 'do' => 'done']);
        self::assertResponseRedirects();
        $garden = $this->snapshot();

        self::assertNotSame([], $garden->soil->spreads);
        self::assertStringStartsWith('radish@2026-03-03#1/feed-1/1/0/', $garden->soil->spreads[0]->key);
        self::assertSame(['feed-1/1'], array_map(static fn (Mark $m): string => $m->task->step, $garden->diary->marks));
        $this->browser->request('GET', $this->path('/feeding'));
        self::assertResponseIsSuccessful();
        $this->browser->request('GET', $this->path('/shed'));
        self::assertStringContainsString('All round', $this->text());
    }

    /** The half that was fed lies there, the rest with the next tick; a half and a quarter are three quarters. */
    public function testAPartOfAFeedingJobWritesDownThatPart(): void
    {
        $job = ['t' => ['planting:feed-1/1:radish@2026-03-03#1']];
        $kg = fn (): float => array_sum(array_map(static fn (Spread $s): float => $s->kg, $this->snapshot()->soil->spreads));
        $length = $this->snapshot()->plantings->get('radish@2026-03-03#1')?->length()->metres() ?? 0.0;
        $this->post($this->path('/jobs/do'), $job + ['do' => 'part', 'length' => ($length / 2).' m']);
        $half = $kg();
        $this->post($this->path('/jobs/do'), $job + ['do' => 'part', 'length' => ($length / 4).' m']);
        $more = $kg();
        $this->post($this->path('/jobs/do'), $job + ['do' => 'done']);

        self::assertGreaterThan(0.0, $half);
        self::assertEqualsWithDelta([0.5, 0.75], [$half / $kg(), $more / $kg()], 1e-6);
    }

    public function testWhatWasGivenIsTakenBackWhole(): void
    {
        $before = $this->exported();
        $this->post($this->path('/jobs/do'), ['t' => ['planting:feed-1/1:radish@2026-03-03#1'], 'do' => 'done']);
        self::assertNotSame([], $this->snapshot()->soil->spreads);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    /** 120 kg of manure at 0.3 and 0.7 % on 18.75 m2: 19.2 and 44.8 g a square metre in; nothing off yet. */
    public function testTheBalanceOfABed(): void
    {
        $this->post($this->path('/shed/spread'), ['place' => 'A2', 'product' => 'cow', 'amount' => '120 kg', 'day' => '2026-02-20',
            'workedIn' => '2026-02-21']);
        $this->browser->request('GET', $this->path('/bed/A2/soil'));
        self::assertResponseIsSuccessful();
        $cells = $this->browser->getCrawler()->filter('.balance td')->each(static fn ($td): string => trim($td->text()));
        self::assertSame(['19.2', '0.0', '19.2', '44.8', '0.0', '44.8'], $cells);
        $this->browser->request('GET', $this->path('/bed/Q9/soil'));
        self::assertResponseStatusCodeSame(404);
    }

    public function testHowTheGardenFeeds(): void
    {
        $rules = ['school' => 'standing-dose', 'basis' => 'ground', 'compost' => 'none', 'overN' => '10', 'overP' => '0', 'overK' => '20',
            'doseN' => '80', 'doseP' => '40', 'doseK' => '90', 'short' => '15', 'untested' => '1', 'tunnels' => '4', 'organic' => '4',
            'texture' => 'sand'];
        $this->post($this->path('/feeding'), $rules);
        self::assertResponseRedirects();
        $kept = $this->snapshot()->soil->rules;
        self::assertSame([FeedSchool::StandingDose, [80.0, 40.0, 90.0], 0.15], [$kept->school, $kept->standing()->list(), $kept->short]);
        $this->post($this->path('/feeding'), ['overN' => 'some'] + $rules);
        self::assertResponseStatusCodeSame(422);
    }

    public function testAValveAndTheSource(): void
    {
        $this->post($this->path('/water/valve'), ['name' => 'North', 'beds' => 'A1 to A3, Z9', 'litres' => '12', 'way' => 'drip',
            'every' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('"Z9" is no bed or block here', $this->text());
        $this->post($this->path('/water/valve'), ['name' => 'North', 'beds' => 'A1 to A3, block T', 'litres' => '12', 'way' => 'drip',
            'every' => '3']);
        self::assertResponseRedirects();
        $valve = $this->snapshot()->soil->valves[0];
        self::assertSame(['v1', ['A1', 'A2', 'A3', 'T1'], 3], [$valve->key, $valve->beds, $valve->every]);
        $this->post($this->path('/water/valve'), ['name' => 'South', 'beds' => 'A3', 'litres' => '5', 'way' => 'hand', 'every' => '']);
        self::assertSame([['A1', 'A2', 'T1'], ['A3']], array_map(static fn ($v): array => $v->beds, $this->snapshot()->soil->valves),
            'a bed hangs on one valve');
        $this->post($this->path('/water/source'), ['litres' => '800', 'hours' => '30']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/water/source'), ['litres' => '800', 'hours' => '3']);
        self::assertSame([800.0, 3.0], [$this->snapshot()->soil->rules->sourceLitres, $this->snapshot()->soil->rules->sourceHours]);
        $this->service(Connection::class)->executeStatement("UPDATE garden SET units = 'us'");
        $this->post($this->path('/water/source'), ['litres' => '100', 'hours' => '3']);
        self::assertSame(378.54, $this->snapshot()->soil->rules->sourceLitres, 'gallons');
        $this->post($this->path('/water/valve/delete'), ['valve' => 'v1']);
        self::assertCount(1, $this->snapshot()->soil->valves);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertSame(['A1', 'A2', 'T1'], $this->snapshot()->soil->valves[0]->beds);
    }

    /** A bed on drip that is not up yet wants a can: said on the line of the day. */
    public function testSownBedsDoNotComeUpByDripAlone(): void
    {
        $this->post($this->path('/water/valve'), ['name' => 'North', 'beds' => 'A1', 'litres' => '12', 'way' => 'drip', 'every' => '']);
        $this->browser->request('GET', $this->path('/week'));
        self::assertStringNotContainsString('not by drip alone', $this->text());
        $this->post($this->path('/jobs/do'), ['t' => ['planting:ground:radish@2026-03-03#1'], 'do' => 'done', 'day' => '2026-03-02']);
        $this->browser->request('GET', $this->path('/week'));
        self::assertStringContainsString('by hand, not by drip alone: A1', $this->text());
    }

    public function testPurchases(): void
    {
        $this->browser->request('GET', $this->path('/purchases'));
        self::assertStringContainsString('All round', $this->text());
        $this->browser->request('GET', $this->path('/purchases.csv'));
        self::assertStringContainsString('2026-03-01,product,"All round"', (string) $this->browser->getResponse()->getContent());
    }

    public function testABlockTakesItsTestsAndJobsAlong(): void
    {
        $this->post($this->path('/soil'), ['place' => 'T', 'day' => '2026-02-02', 'ph' => '6.3']);
        $this->post($this->path('/own-jobs'), ['words' => 'Wash the film', 'block' => 'T', 'first' => '2026-03-03', 'every' => '',
            'hours' => '2',
            'bears' => 'any', 'wait' => '5', 'last' => '']);
        $this->post($this->path('/water/valve'), ['name' => 'North', 'beds' => 'T1', 'litres' => '12', 'way' => 'drip', 'every' => '']);
        $this->post($this->path('/bed/T1/delete'), []);
        self::assertResponseRedirects();
        $before = $this->exported();
        $this->post($this->path('/beds/blocks'), ['block' => 'T', 'name' => 'T', 'do' => 'delete']);
        self::assertResponseRedirects();
        self::assertSame([['A'], [], []], [$this->snapshot()->blocks, $this->snapshot()->soil->tests, $this->snapshot()->diary->ownJobs]);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }
}
