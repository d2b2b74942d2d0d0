<?php

declare(strict_types=1);

namespace App\Tests\Wording;

use App\Tests\Support\AppCase;
use App\Tests\Support\Marks;
use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;

/**
 * One garden walked through twice, in metric and in US units: the same quantities and days in the same order, each number
 * shown as its value comes out in the units of the garden, and nothing left in the other ones.
 */
final class UnitWalkTest extends AppCase
{
    public const MONTHS = "-3 \t-2.5\t0.5\t3.6\t8\t11.2\t13\t12.6\t9.2\t5.4\t1.2\t-1.8\n3.2\t5\t10.3\t15.2\t19.8\t22.9\t25\t24.5\t19.9\t14.2\t7.9\t4\n60\t55\t60\t65\t85\t95\t100\t90\t75\t65\t65\t65";
    /** Pages of a garden that the walk does not go to yet; one that is brought to the marks leaves this list. */
    private const STILL_TO_COME = [
        'bed', 'bed_cover', 'change', 'compare', 'crops', 'crops_import', 'draw_up_progress', 'file', 'forward', 'free_bed',
            'job', 'ladder',
        'log', 'members', 'mend', 'note', 'own', 'planting_cover', 'promises', 'proposal', 'recipe', 'recipes', 'rules', 'season',
            'stand', 'standing',
        'temper', 'wishes_cost', 'soil_report',
    ];
    /** Answers to machines: SI and ISO whatever the garden's units. */
    private const FOR_MACHINES = ['offline_keep', 'week_csv', 'seed_order', 'purchases_csv', 'lots_csv', 'coming_csv', 'delivery_csv',
        'delivery_pdf', 'wall_places', 'wall_version',
        'wall_paper_svg', 'wall_paper_pdf', 'wall_csv', 'wall_calendar', 'map_geojson', 'file_lists_out',
        'crops_export',
        'file_export'];

    /** @return iterable<string, array{0: string, 1?: array<string, string>, 2?: bool}> path, what is sent, whether it comes as a panel */
    public static function walk(): iterable
    {
        yield 'wall' => ['wall'];
        yield 'wall, what is short' => ['wall?lane=all&zoom=month'];
        yield 'planting' => ['planting/{planting}'];
        yield 'planting that stands' => ['planting/{leek}'];
        yield 'planting beside the wall' => ['planting/{planting}', [], true];
        yield 'plan' => ['plan'];
        yield 'place' => ['place'];
        yield 'station' => ['station'];
        yield 'crop' => ['crops/lettuce-head'];
        yield 'crop read off' => ['crops/leek?day=2026-04-01&ask=sow'];
        yield 'crop by weight' => ['crops/potato-early'];
        yield 'ahead' => ['ahead'];
        yield 'ahead in the rain' => ['ahead?days=10&rain=2026-05-20'];
        yield 'settings' => ['settings'];
        yield 'beds' => ['beds'];
        yield 'this week' => ['week'];
        yield 'a week to come' => ['week?on=6'];
        yield 'hands' => ['hands'];
        yield 'hands refused' => ['hands', ['name' => '', 'h1' => '40', 'away_from0' => '2026-05-01']];
        yield 'own jobs' => ['own-jobs'];
        yield 'nursery' => ['nursery'];
        yield 'nursery refused' => ['nursery', ['bench' => 'many']];
        yield 'seed' => ['seed'];
        yield 'seed refused' => ['seed', ['variety' => '', 'amount' => '', 'counted' => 'soon']];
        yield 'calendar' => ['calendar'];
        yield 'sheet' => ['week/sheet'];
        yield 'typed back' => ['week/back'];
        yield 'soil' => ['soil'];
        yield 'soil of a bed' => ['bed/A1/soil'];
        yield 'soil refused' => ['soil', ['place' => '', 'day' => 'soon', 'ph' => '20', 'depth' => 'deep']];
        yield 'feeding' => ['feeding'];
        yield 'mix cards' => ['feeding/cards'];
        yield 'ready soon' => ['ready'];
        yield 'pick list' => ['pick'];
        yield 'coming up' => ['coming'];
        yield 'too much' => ['glut'];
        yield 'mixes' => ['mixes'];
        yield 'delivery notes' => ['delivery'];
        yield 'packing sheet' => ['boxes/sheet'];
        yield 'note for the box' => ['boxes/note'];
        yield 'what if' => ['what-if'];
        yield 'rotation' => ['rotation'];
        yield 'wall as a table' => ['wall/table'];
        yield 'lane of promises' => ['wall/lane/promises'];
        yield 'lane of hours' => ['wall/lane/hours'];
        yield 'problems' => ['wall/problems'];
        yield 'ways out' => ['wall/problems/short?about=lettuce-head'];
        yield 'shelf' => ['wall/shelf'];
        yield 'map' => ['map'];
        yield 'where the blocks lie' => ['map/edit'];
        yield 'years of a bed' => ['bed/A1/years'];
        yield 'wall on paper' => ['wall/paper'];
        yield 'promises from sales' => ['promises/from-sales'];
        yield 'orders' => ['orders'];
        yield 'prices' => ['prices'];
        yield 'boxes' => ['boxes'];
        yield 'how much to take' => ['take'];
        yield 'packing up' => ['packing'];
        yield 'what it was worth' => ['worth'];
        yield 'load list' => ['load'];
        yield 'price cards' => ['load/cards'];
        yield 'log a harvest' => ['harvest'];
        yield 'harvest from paper' => ['harvest/sheet'];
        yield 'store' => ['store'];
        yield 'lots' => ['lots'];
        yield 'labels' => ['labels'];
        yield 'treatments' => ['sprays'];
        yield 'places' => ['places'];
        yield 'places refused' => ['places', ['name' => '', 'kind' => 'clamp', 'warmth' => 'cold', 'humidity' => '900']];
        yield 'shed' => ['shed'];
        yield 'shed refused' => ['shed', ['name' => '', 'n' => '120', 'price' => 'dear', 'step' => '']];
        yield 'water' => ['water'];
        yield 'purchases' => ['purchases'];
        yield 'own job refused' => ['own-jobs', ['words' => '', 'first' => 'soon', 'every' => '0', 'hours' => '-1', 'bears' => 'snow',
            'wait' => '1']];
        yield 'own care refused' => ['own-jobs/care', ['crop' => 'moonfruit', 'words' => '', 'after' => 'later', 'from' => 'ground',
            'minutes' => 'few']];
        yield 'offer' => ['offer'];
        yield 'outlet' => ['offer/outlet/boxes'];
        yield 'product' => ['offer/product/mix'];
        yield 'bed put right' => ['bed/A3/edit'];
        yield 'bed refused' => ['bed/A3/edit', ['name' => 'A3', 'block' => 'A', 'length' => '900 m', 'width' => 'wide', 'path' => '40 m']];
        yield 'blocks' => ['beds/blocks'];
        yield 'lists' => ['file/lists'];
        yield 'list of beds' => ['beds/list'];
        yield 'list of beds refused' => ['beds/list', ['text' => "Q1, 9000\nQ2, 5, 12, shed\nA1"]];
        yield 'found' => ['find?q=leek'];
        yield 'settings refused' => ['settings', ['name' => '', 'altitude' => '9000 m', 'compost_depth' => '4 m',
            'nitrogen_rate' => '99', 'kit_tarp' => 'some']];
        yield 'beds refused' => ['beds/series', ['block' => 'B', 'prefix' => 'B', 'first' => '1', 'count' => '3', 'length' => '900 m',
            'width' => 'wide', 'path' => '40 m']];
        yield 'history refused' => ['beds/past', ['bed' => 'A1', 'crop' => 'kale', 'cleared' => '2025-10-01', 'to' => '30 m']];
        yield 'reading refused' => ['station', ['day' => '2026-02-01', 'min' => '90', 'max' => 'hot', 'rain' => '9999']];
        yield 'reading upside down' => ['station', ['day' => '2026-02-01', 'min' => '20', 'max' => '10']];
        yield 'outlet refused' => ['offer/outlet', ['name' => '', 'priority' => 'first']];
        yield 'product refused' => ['offer/product', ['name' => '', 'price' => 'cheap', 'item0' => '', 'units0' => '-1']];
    }

    /** @param array<string, string> $sent */
    #[DataProvider('walk')]
    public function testTheSameInMetricAndInUsUnits(string $path, array $sent = [], bool $isPanel = false): void
    {
        $this->grow();
        $pages = [];
        foreach (['metric', 'us'] as $units) {
            $this->service(Connection::class)->executeStatement('UPDATE garden SET units = ?, date_form = \'\'', [$units]);
            $at = $this->path('/'.strtr($path, $this->some()));
            [] === $sent ? $this->browser->request('GET', $at, server: $isPanel ? ['HTTP_HX_REQUEST' => 'true'] : [])
                : $this->post($at, $sent);
            self::assertResponseStatusCodeSame([] === $sent ? 200 : 422);
            $pages[$units] = new Marks((string) $this->browser->getResponse()->getContent(), $units);
        }

        self::assertSame($pages['metric']->values(), $pages['us']->values(), 'the same quantities and days');
        foreach ($pages as $units => $page) {
            self::assertSame([], $page->wrong(), "$units: the number shown is not the value");
            self::assertSame([], $page->foreign(), "$units: in units of the other kind");
            self::assertSame([], $page->unmarked(), "$units: a quantity or a day that is not marked");
        }
    }

    public function testEachPageIsWalkedOrStillToCome(): void
    {
        $pages = [];
        foreach ($this->service(RouterInterface::class)->getRouteCollection()->all() as $name => $route) {
            if (str_starts_with($route->getPath(), '/g/{garden}/') && \in_array('GET', $route->getMethods(), true)) {
                $pages[] = $name;
            }
        }
        $walked = ['wall', 'planting', 'plan', 'place', 'station', 'crop', 'ahead', 'settings', 'beds', 'offer', 'offer_outlet',
            'offer_product', 'bed_edit', 'week', 'hands', 'jobs_own', 'nursery', 'seed', 'calendar', 'week_sheet', 'week_back',
                'beds_blocks', 'beds_list', 'find', 'file_lists', 'soil', 'feeding', 'shed', 'water', 'purchases', 'bed_soil',
                'feeding_cards', 'coming', 'orders', 'prices', 'boxes', 'take', 'packing', 'worth', 'ready', 'pick', 'load', 'load_cards',
                'glut', 'mixes', 'delivery', 'delivery_note', 'boxes_sheet', 'boxes_note', 'what_if', 'promises_sales', 'rotation',
                'wall_table', 'wall_lane', 'wall_problems', 'wall_ways', 'wall_shelf', 'map', 'map_edit',
                'bed_years', 'wall_paper',
                'harvest', 'harvest_sheet', 'store', 'lots', 'lot_labels', 'sprays', 'places', 'lot'];

        self::assertEqualsCanonicalizing($pages, [...$walked, ...self::STILL_TO_COME, ...self::FOR_MACHINES]);
    }

    /** A climate, a plan, a reading, some kit: so that each page has something to tell. */
    private function grow(): void
    {
        $this->post($this->path('/place/months'), ['pasted' => self::MONTHS, 'temperature' => 'C', 'rain_in' => 'mm']);
        $this->post($this->path('/plan'), []);
        $this->post($this->path('/proposal'), ['all' => '1']);
        $this->post($this->path('/station'), ['day' => '2026-02-20', 'min' => '-1.5', 'max' => '7', 'rain' => '4']);
    }

    /** @return array<string, string> */
    private function some(): array
    {
        $ids = $this->service(Connection::class)->fetchAllKeyValue('SELECT item, id FROM planting ORDER BY ready, id');
        $one = array_diff_key($ids, ['leek' => 0]);

        return ['{leek}' => self::id($ids['leek'] ?? ''), '{planting}' => self::id(reset($one))];
    }

    private static function id(mixed $id): string
    {
        return \is_string($id) ? $id : '';
    }
}
