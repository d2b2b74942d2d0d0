<?php

declare(strict_types=1);

namespace App\Tests\Crop;

use App\Crop\CropFacts;
use App\Tests\Support\AppCase;
use JollyFurrow\Crop\CropBook;
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
        $facts = $this->service(CropFacts::class)->of($this->service(CropBook::class)->get('lettuce-head'), Units::UsCustomary);

        self::assertContains('11.8 in', array_column($facts['Spacing and seed'], 'value'));
        self::assertContains('9 heads', array_column($facts['Harvest and sale'], 'value'));
    }

    public function testAGardenInUsUnitsShowsThemEverywhere(): void
    {
        $this->post($this->path('/settings'), ['name' => 'G', 'place_name' => 'P', 'latitude' => '46.9', 'altitude' => '310', 'last_frost' => '05-14', 'first_frost' => '10-06', 'units' => 'us', 'currency' => 'usd', 'sowing_days' => ['2'], 'recipe' => 'compost-mulch', 'rent_field' => '0.20', 'rent_tunnel' => '0.60', 'rent_heated' => '0.90', 'shortage_factor' => '1.5', 'keeping_share' => '0.002', 'wage' => '18', 'rotation_field' => '4', 'rotation_tunnel' => '0', 'rotation_heated' => '0', 'compost_depth' => '1 in', 'nitrogen_rate' => '10', 'fertiliser_nitrogen' => '10']);
        self::assertResponseStatusCodeSame(303);
        $settings = $this->snapshot()->settings;

        self::assertSame(['USD', 25, 4], [$settings->currency, $settings->compostDepth->millimetres, $settings->rotation['field']]);
        $page = $this->browser->request('GET', $this->path('/wall'));
        self::assertStringContainsString('82 ft', $page->filter('.wall-bed')->first()->text());
        $this->browser->click($page->filter('a.planting')->link());
        self::assertStringContainsString('cu ft', $this->text());
    }
}
