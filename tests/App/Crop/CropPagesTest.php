<?php

declare(strict_types=1);

namespace App\Tests\Crop;

use App\Crop\CropFacts;
use App\Crop\Fact;
use App\Tests\Support\AppCase;
use App\Wording\Formatter;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Measure\Units;

final class CropPagesTest extends AppCase
{
    public function testEveryCropHasItsPageWithSources(): void
    {
        foreach ($this->service(CropBook::class)->all() as $crop) {
            $this->browser->request('GET', $this->path('/crops/'.$crop->key));
            self::assertResponseIsSuccessful();
            self::assertSelectorTextContains('h1', $crop->name);
            self::assertStringContainsString('common practice, no source', $this->text());
        }
        $this->browser->request('GET', $this->path('/crops/moonfruit'));
        self::assertResponseStatusCodeSame(404);
    }

    public function testValuesAreWrittenInTheGardensUnits(): void
    {
        $facts = $this->service(CropFacts::class)->of($this->service(CropBook::class)->get('lettuce-head'), $this->usGarden());

        $sayer = $this->service(Sayer::class);
        $sayer->speakFor(Formatter::of($this->usGarden()->settings));
        $shown = static fn (Fact $fact): string => strip_tags($sayer->show($fact->value));

        self::assertContains('11.8 in', array_map($shown, $facts['Spacing and stock']));
        self::assertContains('2.74 heads a foot', array_map($shown, $facts['Harvest and sale']));
    }

    public function testAGardenInUsUnitsShowsThemEverywhere(): void
    {
        $this->post($this->path('/settings'), ['name' => 'G', 'place_name' => 'P', 'latitude' => '46.9', 'altitude' => '310',
            'last_frost' => '05-14', 'first_frost' => '10-06', 'units' => 'us', 'currency' => 'usd', 'sowing_days' => ['2'],
            'recipe' => 'compost-mulch', 'rent_field' => '0.20', 'rent_tunnel' => '0.60', 'rent_heated' => '0.90',
            'shortage_factor' => '1.5', 'keeping_share' => '0.002', 'wage' => '18', 'rotation_field' => '4', 'rotation_tunnel' => '0',
            'rotation_heated' => '0', 'compost_depth' => '1 in', 'nitrogen_rate' => '10', 'fertiliser_nitrogen' => '10']);
        self::assertResponseStatusCodeSame(303);
        $settings = $this->snapshot()->settings;

        self::assertSame(['USD', 25_400, 4], [$settings->currency, $settings->compostDepth->micrometres, $settings->rotation['field']]);
        $page = $this->browser->request('GET', $this->path('/wall'));
        self::assertStringContainsString('82 ft', $page->filter('.wall-bed')->first()->text());
        $this->browser->click($page->filter('a.planting')->link());
        self::assertStringContainsString('cu ft', $this->text());
        $this->browser->request('GET', $this->path('/crops/kale'));
        self::assertStringContainsString('2 rows, 15.7 in apart', $this->text());
        self::assertStringContainsString('86 °F 3.5 d<', $this->text());
    }

    public function testTheTimingChartReadsASowingForwardAndAMarketDayBackward(): void
    {
        $this->garden = $this->keep((string) file_get_contents(__DIR__.'/../../../demo/garden.json'));
        $page = $this->browser->request('GET', $this->path('/crops/lettuce-leaf?day=2026-08-15&ask=sow'));
        self::assertSelectorExists('svg.timing-chart path.line-field');
        self::assertSelectorExists('svg.timing-chart path.line-tunnel');
        self::assertMatchesRegularExpression('/open field: ready \w+ 1\d Sep 2026/', strip_tags($this->text()));
        self::assertGreaterThan(20, $page->filter('#timing-table tbody tr')->count());
        $this->browser->request('GET', $this->path('/crops/lettuce-leaf?day=2026-09-15&ask=ready'));
        self::assertMatchesRegularExpression('/open field: sow by \w+ 1\d Aug 2026/', strip_tags($this->text()));
        $this->browser->request('GET', $this->path('/crops/corn?day=2026-05-20&ask=ready'));
        self::assertStringContainsString('no sowing makes this day', $this->text());
        $this->browser->request('GET', $this->path('/crops/corn?day=2026-02-30&ask=sow'));
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('does not exist in the calendar', $this->text());
    }

    public function testWaysToGrowStandSideBySide(): void
    {
        $this->browser->request('GET',
            $this->path('/compare?way[]=beet/sown&way[]=beet/transplanted&way[]=corn/sown&way[]=&sow=2026-04-07&length=10+m&place=field'));
        self::assertResponseIsSuccessful();
        $cells = fn (int $row): array => $this->browser->getCrawler()->filter('table tbody tr')->eq($row)->filter('td')->each(static fn ($td): string => trim($td->text()));
        self::assertSame(['Sun 7 Jun 2026', 'Mon 15 Jun 2026', '–'], $cells(2));
        self::assertSame(['61', '69', '–'], $cells(4));
        self::assertSame('–', $cells(9)[0]);
        self::assertNotSame('–', $cells(9)[1]);
        self::assertSame('not possible for that day there', $cells(0)[2]);
        foreach (['way[]=&sow=2026-04-07&length=10+m&place=field' => 'Choose at least one way',
            'way[]=beet/sown&sow=2026-04-31&length=10+m&place=field' => 'does not exist in the calendar',
            'way[]=beet/sown&sow=2026-04-07&length=-2&place=field' => '-2',
            'way[]=beet/sown&way[]=corn/sown&way[]=kale/transplanted&way[]=radish/sown&way[]=pea/sown&sow=2026-04-07&length=10+m&place=field' => 'At most four'] as $query => $message) {
            $this->browser->request('GET', $this->path('/compare?'.$query));
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString($message, $this->text());
        }
    }

    public function testSouthernGardensSeeTheirOwnSeasons(): void
    {
        $g = $this->usGarden();
        $south = new Garden($g->name, $g->today, new Place('There', -40.0, 10, $g->place->lastFrost, $g->place->firstFrost),
            $g->settings, [], [], [], [], [], [], []);

        $sayer = $this->service(Sayer::class);
        $sayer->speakFor(Formatter::of($south->settings));
        $facts = $this->service(CropFacts::class)->of($this->service(CropBook::class)->get('corn'), $south)['Place and neighbours'];

        $said = implode(' | ', array_map(static fn (Fact $fact): string => strip_tags($sayer->show($fact->value)), $facts));
        self::assertMatchesRegularExpression('/(Oct|Nov) \d+ to (Nov|Dec|Jan) \d+/', $said);
    }

    private function usGarden(): Garden
    {
        $g = $this->snapshot();
        $s = $g->settings;

        return new Garden($g->name, $g->today, $g->place, new Settings(Units::UsCustomary, $s->currency, $s->sowingDays, $s->recipe,
            $s->rent, $s->shortageFactor, $s->keepingShare, $s->wage, $s->rotation, $s->compostDepth, $s->nitrogenRate,
            $s->fertiliserNitrogen), $g->blocks, $g->beds, [], [], [], [], []);
    }
}
