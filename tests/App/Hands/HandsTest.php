<?php

declare(strict_types=1);

namespace App\Tests\Hands;

use App\Tests\Support\AppCase;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** Who works here, and jobs and care of one's own: kept, changed, deleted, taken back. */
final class HandsTest extends AppCase
{
    public function testSomebodyWithHoursAndDaysAway(): void
    {
        $this->post($this->path('/hands'), ['name' => 'Mika', 'h1' => '8', 'h2' => '7.5', 'h6' => '', 'away_from0' => '2026-03-09',
            'away_to0' => '2026-03-10']);
        $worker = $this->snapshot()->diary->workers[0];
        $hours = array_map(static fn (string $d): float => $worker->hoursOn(Day::parse($d)), ['2026-03-02', '2026-03-03', '2026-03-07',
            '2026-03-09', '2026-03-10', '2026-03-16']);

        self::assertSame([8.0, 7.5, 0.0, 0.0, 0.0, 8.0], $hours, 'Monday and Tuesday away, the next Monday back');
        $this->browser->request('GET', $this->path('/week'));
        self::assertStringContainsString('of 16 h', $this->text());

        $this->post($this->path('/hands'), ['who' => 'Mika', 'name' => 'Mika B', 'h1' => '4']);
        self::assertSame(['Mika B', 4.0], [$this->snapshot()->diary->workers[0]->name, $this->snapshot()->diary->workers[0]->week()]);
        $this->post($this->path('/hands/delete'), ['who' => 'Mika B']);
        self::assertSame([], $this->snapshot()->diary->workers);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertCount(1, $this->snapshot()->diary->workers);
    }

    public function testWhatIsWrongIsSaidAtItsFieldAndKept(): void
    {
        $this->post($this->path('/hands'), ['name' => 'Mika', 'h1' => '8']);
        foreach ([['name' => '', 'h1' => '8'], ['name' => 'Mika', 'h1' => '8'], ['name' => 'Sten', 'h1' => '17'],
            ['name' => 'Sten', 'h1' => 'all day'], ['name' => 'Sten', 'away_from0' => '2026-03-09',
                'away_to0' => '2026-03-01']] as $wrong) {
            $this->post($this->path('/hands'), $wrong);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString('class="fault"', $this->text());
        }
        self::assertCount(1, $this->snapshot()->diary->workers);
    }

    public function testAnOwnJobIsOnTheListAndItsTicksGoWithIt(): void
    {
        $this->post($this->path('/own-jobs'), ['words' => 'Cut the hedge', 'block' => 'A', 'first' => '2026-03-03', 'every' => '14',
            'hours' => '2', 'bears' => 'any', 'wait' => '5', 'last' => '']);
        $job = $this->snapshot()->diary->ownJobs[0];
        self::assertSame(['j1', 'A', 14, Bears::Any, 2.0], [$job->key, $job->block, $job->every, $job->bears, $job->hours]);
        $this->browser->request('GET', $this->path('/week'));
        self::assertStringContainsString('Cut the hedge', $this->text());

        $this->post($this->path('/jobs/do'), ['t' => ['own:2026-03-03:j1'], 'do' => 'done']);
        self::assertCount(1, $this->snapshot()->diary->marks);
        $before = $this->exported();
        $this->post($this->path('/own-jobs/delete'), ['job' => 'j1']);
        self::assertSame([[], []], [$this->snapshot()->diary->ownJobs, $this->snapshot()->diary->marks]);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    public function testOwnCareIsOnTheSameFootingAsWhatShips(): void
    {
        $this->post($this->path('/own-jobs/care'), ['crop' => 'leek', 'words' => 'Trim the leaves', 'after' => '250', 'from' => 'ground',
            'every' => '', 'minutes' => '60']);
        $care = $this->snapshot()->diary->ownCare[0];
        self::assertSame(['c1', 'leek', 250, 4.0], [$care->key, $care->crop, $care->after, $care->hours], 'an hour for a bed of 25 m');
        $this->browser->request('GET', $this->path('/week'));
        self::assertStringContainsString('Trim the leaves', $this->text(), '250 days after 26 June is 3 March');
        $this->post($this->path('/own-jobs/care/delete'), ['care' => 'c1']);
        self::assertSame([], $this->snapshot()->diary->ownCare);
    }

    /** Twelve where ten are borne: said with the tick, kept in the file, asked again three days on. */
    public function testACountAboveOnesOwnThreshold(): void
    {
        $this->post($this->path('/own-jobs/care'), ['crop' => 'leek', 'words' => 'Count thrips', 'after' => '250', 'from' => 'ground',
            'every' => '', 'minutes' => '10', 'threshold' => '10']);
        self::assertSame(10.0, $this->snapshot()->diary->ownCare[0]->threshold);
        self::assertStringContainsString('"threshold": 10', $this->exported());
        $leek = array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => 'leek' === $p->item))[0];
        $this->post($this->path('/jobs/do'), ['t' => ['planting:own-c1/1:'.$leek->key], 'do' => 'done', 'count' => '12']);
        $this->browser->followRedirect();
        self::assertStringContainsString('12 is above your 10', $this->text());
        self::assertStringContainsString('look again on', $this->text());
    }

    public function testHailIsNotedOnceAndTakenBack(): void
    {
        $this->post($this->path('/week/hail'), []);
        $this->browser->followRedirect();
        self::assertStringContainsString('Look after the storm', $this->text());
        $this->browser->submitForm('Undo');
        self::assertSame([], $this->snapshot()->diary->marks);
        $this->post($this->path('/week/hail'), []);
        $this->post($this->path('/week/hail'), []);
        self::assertCount(1, $this->snapshot()->diary->marks);
    }
}
