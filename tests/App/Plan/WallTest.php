<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Tests\Support\AppCase;

final class WallTest extends AppCase
{
    public function testShowsWhatStandsAndOpensIt(): void
    {
        $page = $this->browser->request('GET', $this->path('/wall'));

        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('a.planting title', 'Leek, bed A3, in the ground');
        $this->browser->click($page->filter('a.planting')->link());
        self::assertSelectorTextContains('h1', 'Leek');
        self::assertSelectorTextContains('section.panel', 'Show the working');
    }

    public function testAPartIsServedToHtmxWithoutThePageAround(): void
    {
        $page = $this->browser->request('GET', $this->path('/wall'));
        $this->browser->request('GET', (string) $page->filter('a.planting')->attr('href'), server: ['HTTP_HX_REQUEST' => 'true']);

        self::assertStringNotContainsString('<html', $this->text());
        self::assertStringStartsWith('<section class="panel"', trim($this->text()));
        self::assertResponseHeaderSame('Vary', 'HX-Request');
    }

    public function testEverythingComesFromHereAndPackedForTheWay(): void
    {
        $this->browser->request('GET', $this->path('/wall'), server: ['HTTP_ACCEPT_ENCODING' => 'gzip']);

        self::assertStringContainsString("default-src 'self'",
            (string) $this->browser->getResponse()->headers->get('Content-Security-Policy'));
        self::assertResponseHeaderSame('Content-Encoding', 'gzip');
        self::assertStringContainsString('Season 2026', (string) gzdecode((string) $this->browser->getResponse()->getContent()));
    }

    public function testStateIsInTheAddress(): void
    {
        $this->browser->request('GET', $this->path('/wall?block=T&product=mix&season=2027&place=tunnel'));

        self::assertSelectorTextContains('h1', 'Season 2027');
        self::assertSelectorExists('option[value="mix"][selected]');
        self::assertSelectorCount(1, 'svg[data-row]');
    }

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        foreach (['week', 'wall', 'plan', 'promises', 'beds', 'crops', 'crops/radish', 'offer', 'log', 'settings'] as $page) {
            yield $page => [$page];
        }
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('pages')]
    public function testQueriesDoNotGrowWithTheGarden(string $page): void
    {
        $small = $this->queriesOf($this->path('/'.$page));
        $this->garden = $this->keep((string) file_get_contents(__DIR__.'/../../../demo/garden.json'));

        self::assertSame($small, $this->queriesOf($this->path('/'.$page)));
        self::assertLessThan(43, $small);
    }

    private function queriesOf(string $path): int
    {
        $this->browser->request('GET', '/gardens');
        $this->browser->request('GET', $path);
        self::assertResponseIsSuccessful();
        $counter = $this->service(\App\Tests\Support\QueryCount::class);
        self::assertGreaterThan(0, $counter->queries);

        return $counter->queries;
    }
}
