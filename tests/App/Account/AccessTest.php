<?php

declare(strict_types=1);

namespace App\Tests\Account;

use App\Shared\Role;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use Doctrine\DBAL\Connection;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;

/** Walks every route there is, so that a new one cannot be forgotten. */
final class AccessTest extends AppCase
{
    /** Forms a hand may send. */
    private const FOR_HANDS = '#/(note|station|take-back|jobs/do|orders|orders/drop|packing|harvest|harvest/sheet|lots/[^/]+|calendar.*'
        .'|week/back|week/hail)$#';

    public function testAStrangerFindsNothingInAGarden(): void
    {
        $this->browser->loginUser($this->account('stranger@example.test'));
        $token = $this->token();
        $before = $this->everything();
        $walked = 0;
        foreach ($this->gardenRoutes() as [$method, $path]) {
            $this->browser->request($method, $path, ['_token' => $token]);
            self::assertResponseStatusCodeSame(404, $method.' '.$path);
            ++$walked;
        }
        self::assertGreaterThan(18, $walked);
        self::assertSame($before, $this->everything());
    }

    public function testAReaderSeesEverythingAndChangesNothing(): void
    {
        $reader = $this->account('reader@example.test');
        $this->join($reader, Role::Reader);
        $this->browser->loginUser($reader);
        $token = $this->token();
        $before = $this->everything();
        foreach ($this->gardenRoutes() as [$method, $path]) {
            $this->browser->request($method, $path, ['_token' => $token]);
            self::assertContains($this->browser->getResponse()->getStatusCode(), 'GET' === $method ? [200, 303, 404] : [403],
                $method.' '.$path);
        }
        self::assertSame($before, $this->everything());
    }

    /** What a hand may send: notes of work, readings, and the taking back of what it entered itself. Everything else is for growers. */
    public function testAHandRecordsWorkAndNothingElse(): void
    {
        $hand = $this->account('hand@example.test');
        $this->join($hand, Role::Hand);
        $this->browser->loginUser($hand);
        $token = $this->token();
        $may = [];
        foreach ($this->gardenRoutes() as [$method, $path]) {
            if ('POST' === $method) {
                $this->browser->request('POST', $path, ['_token' => $token]);
                if (403 !== $this->browser->getResponse()->getStatusCode()) {
                    $may[] = (string) preg_replace('#/planting/[0-9a-f-]{36}#', '/planting/*', substr($path, \strlen('/g/'.$this->garden)));
                }
            }
        }
        sort($may);

        self::assertSame(['/calendar', '/calendar/withdraw', '/harvest', '/harvest/sheet', '/jobs/do', '/lots/none', '/orders',
            '/orders/drop',
            '/packing', '/planting/*/note', '/station', '/week/back', '/week/hail'], $may);
    }

    /** Nothing is offered to a hand that it could not send. */
    public function testAHandIsShownNoFieldsItCannotSave(): void
    {
        $hand = $this->account('hand@example.test');
        $this->join($hand, Role::Hand);
        $this->browser->loginUser($hand);
        $wrong = [];
        foreach ($this->gardenRoutes() as [$method, $path]) {
            if ('GET' !== $method) {
                continue;
            }
            $page = $this->browser->request('GET', $path);
            if (200 === $this->browser->getResponse()->getStatusCode()) {
                $isForGrowers = static fn (Crawler $form): bool => 0 === preg_match(self::FOR_HANDS,
                    (string) $form->attr('action')) && 0 < $form->filter('input:not([type=hidden]), select, textarea, button')->count()
                    && 0 === $form->filter('fieldset[disabled]')->count();
                $fields = $page->filter('main form[method="post"]')->reduce($isForGrowers);
                $wrong = [...$wrong, ...$fields->each(static fn ($form): string => $path.': '.$form->attr('action'))];
            }
        }

        self::assertSame([], $wrong);
    }

    public function testWithoutThePagesTokenNothingIsChanged(): void
    {
        $before = $this->everything();
        $walked = [];
        foreach ([...$this->gardenRoutes(), ...$this->otherRoutes()] as [$method, $path]) {
            if ('GET' !== $method && '/sign-in' !== $path) {
                $this->browser->request($method, $path, ['_token' => 'guessed']);
                self::assertResponseStatusCodeSame(403, $path);
                $walked[] = $path;
            }
        }
        foreach (['/gardens', '/account', '/join/guessed', $this->path('/standing')] as $path) {
            self::assertContains($path, $walked);
        }
        self::assertSame($before, $this->everything());
        self::assertSame(1, $this->service(Connection::class)->fetchOne('SELECT COUNT(*) FROM garden'));
    }

    public function testWhoIsNotSignedInIsAskedToSignIn(): void
    {
        $this->browser->getCookieJar()->clear();
        self::ensureKernelShutdown();
        $this->browser = self::createClient();
        foreach ([...$this->gardenRoutes(), ['GET', '/gardens'], ['GET', '/']] as [$method, $path]) {
            $this->browser->request($method, $path);
            self::assertResponseRedirects('http://localhost/sign-in', message: $method.' '.$path);
        }
    }

    public function testSignInKeepsTheAddressAndSaysWhatIsWrong(): void
    {
        $this->browser->getCookieJar()->clear();
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Sign in')->form(['email' => 'grower@example.test', 'password' => 'wrong']));
        $this->browser->followRedirect();

        self::assertStringContainsString('do not belong together', $this->text());
        self::assertSelectorExists('input[name=email][value="grower@example.test"]');
    }

    /** @return list<array{string, string}> method and path of every route that is not of a garden */
    private function otherRoutes(): array
    {
        $routes = [];
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $route) {
            foreach (str_contains($route->getPath(), '{garden}') ? [] : $route->getMethods() as $method) {
                $routes[] = [$method, strtr($route->getPath(), ['{secret}' => 'guessed'])];
            }
        }

        return $routes;
    }

    /** @return list<array{string, string}> method and path of every route of a garden */
    private function gardenRoutes(): array
    {
        $routes = [];
        $planting = (string) array_values($this->service(Snapshot::class)->plantingIds($this->garden))[0];
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $route) {
            \assert($route instanceof Route);
            if (str_contains($route->getPath(), '{garden}')) {
                foreach ($route->getMethods() as $method) {
                    $routes[] = [$method, strtr($route->getPath(), ['{garden}' => $this->garden, '{number}' => '1', '{note}' => '2026-001',
                        '{crop}' => 'radish', '{planting}' => $planting, '{bed}' => 'A1', '{run}' => 'none', '{lot}' => 'none',
                        '{member}' => $this->grower->id, '{invitation}' => 'none', '{cover}' => 'none', '{recipe}' => 'compost-mulch',
                        '{format}' => 'csv', '{step}' => 'day', '{way}' => 'up', '{list}' => 'beds',
                        '{job}' => '0123456789abcdef', '{outlet}' => 'boxes', '{product}' => 'lettuce', '{kind}' => 'outlet',
                            '{key}' => 'boxes'])];
                }
            }
        }

        return $routes;
    }
}
