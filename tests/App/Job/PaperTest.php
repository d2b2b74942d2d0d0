<?php

declare(strict_types=1);

namespace App\Tests\Job;

use App\Shared\Role;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;

/** The week on paper and back, as a list, and in a calendar. */
final class PaperTest extends AppCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => [
            'key' => 'radish@2026-03-02#1', 'item' => 'radish', 'method' => 'sown', 'place' => 'field', 'recipe' => 'compost-mulch',
            'sow' => '2026-03-02', 'ground' => '2026-03-02', 'bed_start' => '2026-02-25', 'ready' => '2026-04-12', 'clear' => '2026-04-20',
            'per_metre' => 11.0, 'standing' => 'planned', 'locked' => true, 'remarks' => [],
            'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 6000, 'width_share' => 1.0]],
        ], 2 => [
            'key' => 'lettuce-head@2026-03-02#1', 'item' => 'lettuce-head', 'method' => 'transplanted', 'place' => 'field',
            'recipe' => 'compost-mulch', 'sow' => '2026-03-02', 'ground' => '2026-04-06', 'bed_start' => '2026-04-01',
                'ready' => '2026-05-18',
            'clear' => '2026-05-27', 'per_metre' => 9.0, 'standing' => 'planned', 'locked' => true, 'remarks' => [],
            'pieces' => [['bed' => 'A2', 'from_mm' => 0, 'to_mm' => 10000, 'width_share' => 1.0]],
        ]]]));
    }

    public function testTheSheetNamesJobsInOrderAndLabelsTrays(): void
    {
        $this->post($this->path('/hands'), ['name' => 'Mika', 'h1' => '8']);
        $this->browser->request('GET', $this->path('/week/sheet'));
        self::assertStringContainsString('Sow radish', str_replace(['<strong>', '</strong>'], '', $this->text()));
        self::assertStringContainsString('Tray labels', $this->text());
        self::assertStringContainsString('sown Mon 2 Mar · out Mon 6 Apr', $this->text());
        $this->browser->request('GET', $this->path('/week/sheet?who=Mika'));
        self::assertStringContainsString('week 10, Mika', $this->text());
        self::assertSelectorCount(1, '.sheet-day');
        $this->browser->request('GET', $this->path('/week/sheet?block=T'));
        self::assertStringContainsString('No jobs for this sheet', $this->text());
        $this->browser->request('GET', $this->path('/week/jobs.csv'));
        self::assertStringContainsString(',Sow,radish,A1,A,6,', (string) $this->browser->getResponse()->getContent());
    }

    /** All ticked but the trays and the walk: one change, taken back whole; then part of the trays. */
    public function testAllDoneBut(): void
    {
        $before = $this->exported();
        $page = $this->browser->request('GET', $this->path('/week/back'));
        $key = static fn (string $words): string => (string) $page->filter('tr:contains("'.$words.'") input[type=checkbox]')->attr('value');
        $all = $page->filter('input[name="done[]"]')->each(static fn ($box): string => (string) $box->attr('value'));
        $sow = $key('Sow in trays');
        $this->post($this->path('/week/back'), ['done' => array_values(array_diff($all, [$key('Crop walk'), $sow])), 'who' => 'Mika',
            'day' => '']);
        self::assertResponseRedirects(null, 303);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());

        $this->post($this->path('/week/back'), ['done' => [], 'length-'.$sow => '2 m']);
        self::assertResponseRedirects();
        $lengths = array_map(static fn (Planting $p): float => $p->length()->metres(),
            $this->snapshot()->plantings->where(static fn (Planting $p): bool => 'lettuce-head' === $p->item)->all());
        sort($lengths);
        self::assertSame([2.0, 8.0], $lengths);
        self::assertSame(['sow'], array_map(static fn (Mark $m): string => $m->task->step, $this->snapshot()->diary->marks));
        $this->post($this->path('/week/back'), ['done' => [], 'length-'.$sow => 'some']);
        self::assertResponseStatusCodeSame(422);
    }

    /** Picked and cleared at once: one planting, one piece, cleared; whichever stands first on the sheet. */
    public function testPickedAndClearedOnOneSheet(): void
    {
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [0 => ['clear' => '2026-02-28']]]));
        $page = $this->browser->request('GET', $this->path('/week/back'));
        $leeks = $page->filter('tr:contains("Pick leek") input[type=checkbox], tr:contains("Clear leek") input[type=checkbox]')
            ->each(static fn ($box): string => (string) $box->attr('value'));
        self::assertCount(2, $leeks);
        foreach ([$leeks, array_reverse($leeks)] as $done) {
            $this->post($this->path('/week/back'), ['done' => $done]);
            self::assertResponseRedirects();
            $leek = $this->snapshot()->plantings->all()[0];
            self::assertSame([Standing::Cleared, 1], [$leek->standing, \count($leek->pieces)]);
            self::assertEqualsCanonicalizing([Happening::Picked, Happening::Finished],
                array_map(static fn (FieldNote $n): Happening => $n->what,
                    $this->snapshot()->notes));
            $this->browser->followRedirect();
            $this->browser->submitForm('Undo');
        }
    }

    /** Read back by the library and valid, each job once; void when withdrawn, or when its maker has left. */
    public function testTheCalendarIsValidAndItsAddressCanBeWithdrawn(): void
    {
        $hand = $this->account('hand@example.test');
        $this->join($hand, Role::Hand);
        $this->browser->loginUser($hand);
        $address = $this->address();
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', $address);
        self::assertResponseIsSuccessful();
        $calendar = Reader::read((string) $this->browser->getResponse()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $summaries = self::values($calendar, 'SUMMARY');
        $ids = self::values($calendar, 'UID');
        self::assertContains('Sow radish on A1', $summaries);
        self::assertSame($ids, array_unique($ids));

        $this->service(Connection::class)->executeStatement('DELETE FROM member WHERE account_id = ?', [$hand->id]);
        $this->browser->request('GET', $address);
        self::assertResponseStatusCodeSame(404);

        $this->browser->loginUser($this->grower);
        $address = $this->address();
        $page = $this->browser->request('GET', $this->path('/calendar'));
        $this->browser->submit($page->filter('form[action$="withdraw"]')->last()->form());
        $this->browser->request('GET', $address);
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('GET', '/calendar/guessed.ics');
        self::assertResponseStatusCodeSame(404);
    }

    /** @return list<string> of all entries */
    private static function values(VCalendar $calendar, string $name): array
    {
        $values = [];
        foreach ($calendar->getComponents() as $event) {
            foreach ($event instanceof VEvent ? $event->select($name) : [] as $property) {
                $values[] = $property instanceof Property ? (string) $property->getValue() : '';
            }
        }

        return $values;
    }

    private function address(): string
    {
        $this->post($this->path('/calendar'), []);
        $this->browser->followRedirect();
        self::assertSame(1, preg_match('~http://[^\s<]+\.ics~', $this->text(), $m));

        return $m[0];
    }
}
