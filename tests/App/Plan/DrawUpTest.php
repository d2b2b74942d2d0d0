<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Rows\PlanRun;
use App\Tests\Support\AppCase;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Planting\Planting;

final class DrawUpTest extends AppCase
{
    public function testAPromiseBecomesPlantingsAndIsTakenBackWhole(): void
    {
        $before = $this->snapshot();
        $this->post($this->path('/plan'), []);
        self::assertResponseRedirects($this->path('/proposal'));
        self::assertEquals($before, $this->snapshot(), 'a proposal changes nothing by itself');
        $this->post($this->path('/proposal'), ['all' => '1']);
        self::assertResponseRedirects($this->path('/plan'));
        $drawn = $this->snapshot();

        self::assertGreaterThan(\count($before->plantings), \count($drawn->plantings));
        self::assertContains('lettuce-head', array_map(static fn (Planting $p): string => $p->item, $drawn->plantings->all()));

        $this->post($this->path('/log/2/take-back'), []);
        self::assertResponseRedirects($this->path('/log'));
        self::assertEquals($before, $this->snapshot());
        $this->browser->followRedirect();
        self::assertStringContainsString('Taken back: Proposal taken, drawn up for the whole garden', $this->text());
    }

    /** A process that is killed says nothing: a run without a sign for a minute is told to be dead. */
    public function testADrawingUpThatDiedIsToldAndCanBeDrawnAnew(): void
    {
        $run = new PlanRun($this->garden, time());
        $entities = $this->service(EntityManagerInterface::class);
        $entities->persist($run);
        $entities->flush();
        $seen = fn (int $secondsAgo): int => (int) $this->service(Connection::class)->update('plan_run', ['state' => 'drawing', 'done' => 3,
            'total' => 40, 'beat_at' => time() - $secondsAgo], ['id' => $run->id]);
        $seen(50);
        $this->browser->request('GET', $this->path('/plan'));
        self::assertStringContainsString('3 of 40', $this->text(), 'another window shows how far it is');
        $seen(70);
        $this->browser->request('GET', $this->path('/plan/run/'.$run->id));
        self::assertResponseHeaderSame('HX-Redirect', $this->path('/plan'));
        $this->browser->request('GET', $this->path('/plan'));
        self::assertStringContainsString('cut off before its end', $this->text());
        self::assertSelectorExists('button:contains("Draw up the plan")');
        $this->drawUp();
        $this->browser->request('GET', $this->path('/plan'));
        self::assertStringNotContainsString('cut off before its end', $this->text());
    }

    public function testDrawnUpAgainThePlanIsTheSameAndNoNewEntry(): void
    {
        $this->drawUp();
        $once = $this->everythingBut('plan_run');
        $this->drawUp();

        self::assertSame($once, $this->everythingBut('plan_run'));
    }

    public function testAPlantingOfTheSameKeyTakesOverItsNewDatesAndLength(): void
    {
        $this->drawUp();
        $once = $this->snapshot()->plantings;
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-01',
            'q' => ['lettuce' => [(string) \JollyFurrow\Time\Day::parse('2026-06-03')->number => '90']], 'price' => []]);
        $this->drawUp();

        self::assertNotEquals($once, $this->snapshot()->plantings);
        $this->post($this->path('/log/4/take-back'), []);
        self::assertEquals($once, $this->snapshot()->plantings);
    }

    public function testTheTakingBackCanBeTakenBack(): void
    {
        $this->drawUp();
        $drawn = $this->snapshot();
        $this->post($this->path('/log/2/take-back'), []);
        $this->post($this->path('/log/3/take-back'), []);

        self::assertEquals($drawn->plantings, $this->snapshot()->plantings);
    }

    public function testWhatHasMovedOnIsNotTakenBackButAsked(): void
    {
        $this->promise('20');
        $this->promise('30');
        $now = $this->snapshot();
        $this->post($this->path('/log/2/take-back'), []);

        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('changed again later', $this->text());
        self::assertEquals($now, $this->snapshot());
        $this->post($this->path('/log/3/take-back'), []);
        $this->post($this->path('/log/2/take-back'), []);
        self::assertResponseRedirects($this->path('/log'));
        self::assertCount(3, $this->snapshot()->promises);
    }

    public function testABedThatCarriesAPlantingIsNotTakenFromUnderIt(): void
    {
        $this->post($this->path('/beds/series'), ['block' => 'N', 'prefix' => 'N', 'first' => '1', 'count' => '1', 'length' => '25 m',
            'width' => '75 cm', 'path' => '45 cm', 'place' => 'field']);
        $this->post($this->path('/beds/past'), ['bed' => 'N1', 'crop' => 'kale', 'cleared' => '2025-10-01', 'from' => '', 'to' => '']);
        $now = $this->snapshot();
        $this->post($this->path('/log/2/take-back'), []);

        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('stands on what it added', $this->text());
        self::assertEquals($now, $this->snapshot());
    }

    public function testAStoppedRunKeepsWhatItHad(): void
    {
        $this->browser->request('POST', $this->path('/plan'), ['_token' => $this->token()], server: ['HTTP_HX_REQUEST' => 'true']);
        self::assertResponseIsSuccessful();
        $run = $this->service(Connection::class)->fetchOne('SELECT id FROM plan_run');
        self::assertIsString($run);
        $this->post($this->path('/plan/run/'.$run.'/stop'), []);
        $this->post($this->path('/plan/run/'.$run), []);
        $row = $this->service(Connection::class)->fetchAssociative('SELECT state, outcome FROM plan_run');

        self::assertSame('done', $row['state'] ?? null);
        self::assertStringContainsString('Stopped early', \is_string($row['outcome'] ?? null) ? $row['outcome'] : '');
        $this->browser->request('GET', $this->path('/plan/run/'.$run));
        self::assertResponseHeaderSame('HX-Redirect', $this->path('/proposal'));
    }

    public function testARunIsDrawnOnceHoweverOftenItIsAsked(): void
    {
        $this->browser->request('POST', $this->path('/plan'), ['_token' => $this->token()], server: ['HTTP_HX_REQUEST' => 'true']);
        $run = $this->service(Connection::class)->fetchOne('SELECT id FROM plan_run');
        self::assertIsString($run);
        $this->post($this->path('/plan/run/'.$run), []);
        $once = $this->everything();
        self::assertStringContainsString('"proposal":[{', $once);
        $this->post($this->path('/plan/run/'.$run), []);

        self::assertSame($once, $this->everything());
    }

    public function testWhatCannotBeServedSaysWhyOnThePlanPage(): void
    {
        $this->post($this->path('/promises'), ['outlet' => 'stall', 'from' => '2026-03-02',
            'q' => ['corn' => [(string) \JollyFurrow\Time\Day::parse('2026-03-21')->number => '10']], 'price' => []]);
        $this->drawUp();
        $this->browser->request('GET', $this->path('/plan'));

        self::assertStringContainsString('No sowing can meet these dates', $this->text());
        self::assertSelectorTextContains('main details summary', 'Too late to sow for (1 crop)');
        self::assertSelectorTextContains('main details table', 'Sweet corn');
    }

    public function testOneMoreSowingIsPlannedLockedAndTakenBack(): void
    {
        $before = $this->snapshot();
        $this->post($this->path('/plan/one-more'), ['item' => 'radish', 'sow' => '2026-04-07', 'place' => 'field', 'method' => 'sown']);
        $radish = $this->snapshot()->plantings->all()[1];

        self::assertSame(['radish@2026-04-07#1', true, 6_250_000], [$radish->key, $radish->locked, $radish->length()->micrometres]);
        $this->drawUp();
        self::assertContains('radish@2026-04-07#1', array_map(static fn (Planting $p): string => $p->key,
            $this->snapshot()->plantings->all()));
        $this->post($this->path('/log/3/take-back'), []);
        $this->post($this->path('/log/2/take-back'), []);
        self::assertEquals($before, $this->snapshot());
    }

    public function testWhatIsNotPossibleAnyMoreChangesNothing(): void
    {
        foreach ([['sow' => '2026-01-06'], ['sow' => 'soon'], ['place' => 'heated'], ['method' => 'thrown'],
            ['item' => 'moonfruit']] as $wrong) {
            $before = $this->everything();
            $this->post($this->path('/plan/one-more'), [...['item' => 'radish', 'sow' => '2026-04-07', 'place' => 'field',
                'method' => 'sown'], ...$wrong]);

            self::assertResponseRedirects($this->path('/plan'));
            self::assertSame($before, $this->everything());
        }
    }

    /** Draws up and takes all of it. */
    private function drawUp(): void
    {
        $this->post($this->path('/plan'), []);
        $this->post($this->path('/proposal'), ['all' => '1']);
    }

    private function promise(string $quantity): void
    {
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-29',
            'q' => ['corn' => [(string) \JollyFurrow\Time\Day::parse('2026-07-01')->number => $quantity]], 'price' => []]);
        self::assertResponseStatusCodeSame(303);
    }
}
