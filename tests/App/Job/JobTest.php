<?php

declare(strict_types=1);

namespace App\Tests\Job;

use App\Change\PlantingMark;
use App\Shared\Role;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use Symfony\Component\DomCrawler\Crawler;

/** Jobs ticked from the list, in whole and in part; the plan follows, and everything can be taken back. */
final class JobTest extends AppCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => [
            'key' => 'radish@2026-03-02#1', 'item' => 'radish', 'method' => 'sown', 'place' => 'field', 'recipe' => 'compost-mulch',
            'sow' => '2026-03-02', 'ground' => '2026-03-02', 'bed_start' => '2026-02-25', 'ready' => '2026-04-12', 'clear' => '2026-04-20',
            'per_metre' => 11.0, 'standing' => 'planned', 'locked' => true, 'remarks' => [],
            'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 6000, 'width_share' => 1.0]],
        ]]]));
    }

    public function testASowingIsDoneWithOneTapAndTakenBack(): void
    {
        $before = $this->exported();
        $tick = $this->week()->filter('.job:contains("Sow radish") button.job-tick')->first();
        self::assertGreaterThan(0, $tick->count(), $this->text());
        $this->browser->submit($tick->form());
        self::assertResponseRedirects();
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Sow radish on', $this->text());
        self::assertSame(Standing::Growing, $this->radish()->standing);
        self::assertSame(['ground'], array_map(static fn (Mark $m): string => $m->task->step, $this->snapshot()->diary->marks));
        self::assertSame(1, $page->filter('.is-done:contains("radish")')->count(), 'it stands among what was done');

        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    /** The rest is a planting of its own, still to be sown, with what was ticked of the whole. */
    public function testPartOfASowing(): void
    {
        $key = $this->radish()->key;
        $this->do(['planting:prepare/1:'.$key], ['do' => 'done']);
        $this->do(['planting:ground:'.$key], ['do' => 'part', 'length' => '2.5 m', 'words' => 'seed ran out', 'who' => 'Mika',
            'hours' => '0.5']);
        self::assertResponseRedirects();
        $parts = $this->radishes();
        usort($parts, static fn (Planting $a, Planting $b): int => $a->length()->micrometres <=> $b->length()->micrometres);

        self::assertSame([[2.5, 'growing'], [3.5, 'planned']], array_map(static fn (Planting $p): array => [$p->length()->metres(),
            $p->standing->value], $parts));
        $marks = $this->snapshot()->diary->marks;
        self::assertSame([['prepare/1', 2], ['ground', 1]], [['prepare/1', \count(array_filter($marks,
            static fn (Mark $m): bool => 'prepare/1' === $m->task->step))], ['ground', \count(array_filter($marks,
                static fn (Mark $m): bool => 'ground' === $m->task->step))]]);
        self::assertSame(['Mika', 'seed ran out', 30], [($m = end($marks) ?: $marks[1])->who ?: $marks[1]->who, $marks[1]->words,
            $marks[1]->minutes]);
    }

    public function testPutOffLeftOutAndWrongDays(): void
    {
        $task = 'planting:prepare/1:'.$this->radish()->key;
        $today = $this->snapshot()->today;
        $this->do([$task], ['do' => 'later', 'until' => $today->plus(3)->iso()]);
        self::assertResponseRedirects();
        self::assertSame($today->plus(3)->iso(), $this->snapshot()->diary->marks[0]->until?->iso());

        foreach ([['do' => 'later', 'until' => $today->iso()], ['do' => 'done', 'day' => $today->plus(1)->iso()],
            ['do' => 'part', 'length' => 'some'], ['do' => 'done', 'hours' => '-3']] as $wrong) {
            $this->do([$task], ['words' => 'kept typing', ...$wrong]);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString('kept typing', $this->text());
        }
        self::assertCount(1, $this->snapshot()->diary->marks);
        $this->do([$task], ['do' => 'left']);
        self::assertSame(MarkKind::Left, $this->snapshot()->diary->marks[1]->kind);
    }

    /** Sent twice, as by a phone that lost the answer: it counts once, and is answered alike. */
    public function testTheSameDoingCountsOnce(): void
    {
        $task = 'planting:prepare/1:'.$this->radish()->key;
        $answers = [];
        foreach ([1, 2] as $time) {
            $this->browser->request('POST', $this->path('/jobs/do'), ['t' => [$task], 'do' => 'done', 'token' => 'once',
                '_token' => $this->token()],
                server: ['HTTP_ACCEPT' => 'application/json']);
            self::assertResponseIsSuccessful();
            $answers[$time] = json_decode((string) $this->browser->getResponse()->getContent(), true);
        }
        self::assertIsArray($answers[1]);
        self::assertIsArray($answers[2]);
        self::assertSame([$answers[1]['kept'], true], [$answers[2]['kept'], $answers[2]['repeated']]);
        self::assertCount(1, $this->snapshot()->diary->marks);
    }

    /** What somebody else did meanwhile is asked about; noted all the same, it stands twice in the record and once on the list. */
    public function testSomebodyWasFaster(): void
    {
        $task = 'planting:ground:'.$this->radish()->key;
        $this->do([$task], ['do' => 'done', 'who' => 'Jorun']);
        $this->do([$task], ['do' => 'done', 'who' => 'Mika', 'words' => 'me too']);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('Jorun did this already', $this->text());
        self::assertStringContainsString('me too', $this->text());
        self::assertCount(1, $this->snapshot()->diary->marks);
        $this->do([$task], ['do' => 'done', 'who' => 'Mika', 'again' => '1']);
        self::assertResponseRedirects();
        self::assertSame(['Jorun', 'Mika'], array_map(static fn (Mark $m): string => $m->who, $this->snapshot()->diary->marks));
        self::assertCount(1, $this->radishes());
    }

    public function testAHandTicksAndAReaderLooks(): void
    {
        $task = 'planting:prepare/1:'.$this->radish()->key;
        foreach ([[Role::Hand, 303], [Role::Reader, 403]] as [$role, $status]) {
            $account = $this->account($role->value.'@example.test');
            $this->join($account, $role);
            $this->browser->loginUser($account);
            self::assertSame(Role::Hand === $role, $this->week()->filter('button.job-tick')->count() > 0);
            $this->do([$task], ['do' => 'done']);
            self::assertResponseStatusCodeSame($status);
        }
    }

    public function testAJobOfItsOwnPageAndTheFileKeepsTheDiary(): void
    {
        $page = $this->week();
        $this->browser->click($page->filter('.job-words:contains("Sow radish")')->first()->link());
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('Show the working', $this->text());
        $this->do(['planting:prepare/1:'.$this->radish()->key], ['do' => 'done', 'who' => 'Mika']);
        $file = $this->exported();
        $again = $this->keep($file);
        $this->browser->request('GET', '/g/'.$again.'/file/garden.json');
        self::assertSame($file, $this->browser->getResponse()->getContent());
    }

    /** A planting that goes takes its ticks with it, and undo brings both back. */
    public function testTicksGoAndComeWithTheirPlanting(): void
    {
        $radish = $this->radish();
        $this->do(['planting:prepare/1:'.$radish->key], ['do' => 'done']);
        $before = $this->exported();
        $id = $this->service(Snapshot::class)->plantingIds($this->garden)[$radish->key];
        $this->post($this->path('/planting/'.$id.'/change'), ['do' => 'delete', 'seen' => PlantingMark::of($radish)]);
        $this->browser->followRedirect();
        self::assertSame([], $this->snapshot()->diary->marks);
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    /**
     * @param list<string>         $tasks
     * @param array<string, mixed> $fields
     */
    private function do(array $tasks, array $fields): void
    {
        $this->post($this->path('/jobs/do'), ['t' => $tasks, ...$fields]);
    }

    private function week(): Crawler
    {
        return $this->browser->request('GET', $this->path('/week'));
    }

    /** @return list<Planting> */
    private function radishes(): array
    {
        return $this->snapshot()->plantings->where(static fn (Planting $p): bool => 'radish' === $p->item)->all();
    }

    private function radish(): Planting
    {
        return $this->radishes()[0] ?? self::fail('No radishes.');
    }
}
