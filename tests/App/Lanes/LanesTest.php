<?php

declare(strict_types=1);

namespace App\Tests\Lanes;

use App\Job\Sites;
use App\Lanes\LaneWeek;
use App\Lanes\LaneWeeks;
use App\Lanes\PromiseHeat;
use App\Tests\Support\AppCase;
use App\Wall\Lane;
use App\Wall\Scale;
use App\Wall\WallBlock;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;

/** The small garden: leeks on A3 until 6 April, lettuce promised on three Wednesdays of June and nothing planned for it. */
final class LanesTest extends AppCase
{
    public function testHoursAreThoseOfTheWeeksJobs(): void
    {
        $site = $this->service(Sites::class)->of($this->garden);
        $weeks = $this->service(LaneWeeks::class)->of(Lane::Hours, $this->garden, Day::parse('2026-05-04'));
        $jobs = WorkWeek::of($site, TaskList::usual(), Day::parse('2026-04-06')->week());

        self::assertSame(['2026-03-02', '2026-04-27'], [$weeks[0]->monday->iso(), $weeks[8]->monday->iso()]);
        self::assertCount(9, $weeks);
        self::assertEqualsWithDelta($jobs->hours(), $weeks[5]->amount, 0.06, 'the week the leeks are cleared');
        self::assertNull($weeks[0]->room, 'nobody is named who works');
        self::assertFalse($weeks[0]->isOver());
    }

    public function testOverIsMoreThanThereIs(): void
    {
        self::assertTrue((new LaneWeek(Day::parse('2026-03-02'), 40.1, 40.0))->isOver());
        self::assertFalse((new LaneWeek(Day::parse('2026-03-02'), 40.0, 40.0))->isOver());
    }

    /** Three weeks of the daisy family, open; the row of all is the same. */
    public function testTheHeatOfAllPromises(): void
    {
        $garden = $this->snapshot();
        $heat = PromiseHeat::of($this->service(Planner::class)->asItStands($garden), $this->service(CropBook::class),
            Scale::from(Day::parse('2026-03-02'), 52));

        self::assertSame(['Daisy', ''], array_keys($heat->rows));
        foreach ($heat->rows as $row) {
            self::assertSame([[13, 'open'], [14, 'open'], [15, 'open']], array_map(static fn (array $c): array => [$c['week'],
                $c['level']], $row['cells']));
        }
    }

    /** One of three beds of A is taken until the week of 6 April: a third. */
    public function testAFoldedBlockIsARidge(): void
    {
        $garden = $this->snapshot();
        $block = WallBlock::folded('A', \array_slice($garden->beds, 0, 3), $garden, Scale::from(Day::parse('2026-03-02'), 8));

        self::assertEqualsWithDelta([1 / 3, 1 / 3, 1 / 3, 1 / 3, 1 / 3, 1 / 3, 0.0, 0.0], $block->taken, 1e-9);
        self::assertTrue($block->isFolded());
        $page = $this->browser->request('GET', $this->path('/wall?fold[]=A'));
        self::assertSame(['T1'], $page->filter('svg[data-row]')->each(static fn ($r): string => (string) $r->attr('data-row')));
        self::assertSame(['false', 'true'], $page->filter('.wall-block a')->each(static fn ($a): string => (string) $a
            ->attr('aria-expanded')));
    }

    /** Only what is asked for stands above and below the beds; the address keeps it. */
    public function testLanesByChoice(): void
    {
        $page = $this->browser->request('GET', $this->path('/wall?lanes[]=free&lanes[]=bench&colour=state'));
        self::assertSame(0, $page->filter('polyline.light')->count());
        self::assertSame(1, $page->filter('.wall-lane[hx-get]')->count());
        self::assertStringContainsString('in the nursery', $page->filter('.wall-legend')->text());
        $page = $this->browser->request('GET', $this->path('/wall'));
        self::assertSame(1, $page->filter('polyline.light')->count());
        $this->browser->request('GET', $this->path('/wall/lane/light'));
        self::assertResponseStatusCodeSame(404);
    }
}
