<?php

declare(strict_types=1);

namespace App\Tests\Navigation;

use App\Navigation\Navigation;
use App\Tests\Support\AppCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Routing\RouterInterface;

final class NavigationTest extends AppCase
{
    public function testEveryPageOfAGardenHasItsPlace(): void
    {
        $navigation = new Navigation();
        $unknown = [];
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $name => $route) {
            $isPage = str_starts_with($route->getPath(), '/g/{garden}/') && \in_array('GET', $route->getMethods(), true);
            if ($isPage && !$navigation->knows($name)) {
                $unknown[] = $name;
            }
        }

        self::assertSame([], $unknown);
    }

    /** Where one is, is marked once in the bar and once beside it, where there is something beside it. */
    #[TestWith(['/wall', 'Wall', 'The season'])]
    #[TestWith(['/standing', 'In the ground', ''])]
    #[TestWith(['/week', 'This week', 'The jobs'])]
    #[TestWith(['/rules', 'Plan', 'Rules'])]
    #[TestWith(['/rules/cost', 'Plan', 'Rules'])]
    #[TestWith(['/forward', 'Plan', 'Repeat sowings'])]
    #[TestWith(['/bed/A1', 'Beds', 'All beds'])]
    #[TestWith(['/ahead', 'Beds', 'Bed preparation'])]
    #[TestWith(['/crops/leek', 'Crops', 'Crop book'])]
    #[TestWith(['/crops/sheet/in', 'Crops', 'Crop book'])]
    #[TestWith(['/offer', 'Markets', 'Outlets and products'])]
    #[TestWith(['/season', 'Markets', 'Season totals'])]
    #[TestWith(['/station', 'Records', 'Weather'])]
    #[TestWith(['/settings', '', 'Settings'])]
    #[TestWith(['/place', '', 'Climate'])]
    public function testOneEntryIsMarked(string $page, string $group, string $beside): void
    {
        $page = $this->browser->request('GET', $this->path($page));
        self::assertResponseIsSuccessful();

        self::assertSame('' === $group ? [] : [$group],
            $page->filter('.bar > a[aria-current]')->each(static fn ($a): string => $a->text()));
        self::assertCount('' === $group ? 1 : 0, $page->filter('.brand.here'));
        self::assertSame('' === $beside ? [] : [$beside],
            $page->filter('.within a[aria-current]')->each(static fn ($a): string => $a->text()));
    }

    public function testFindsCropsBedsPlantingsAndOutlets(): void
    {
        $find = fn (string $words): string => $this->browser->request('GET',
            $this->path('/find?q='.rawurlencode($words)))->filter('body')->text();
        $find('A1');
        self::assertResponseRedirects($this->path('/bed/A1'));
        $find('zucchini');
        self::assertResponseRedirects($this->path('/crops/squash-summer'));
        self::assertStringContainsString('Leek, A3', $find('leeks'));
        self::assertStringContainsString('Nothing here is called that', $find('moonfruit'));
        self::assertStringContainsString('Type a crop', $find(''));
    }
}
