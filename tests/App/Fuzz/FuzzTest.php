<?php

declare(strict_types=1);

namespace App\Tests\Fuzz;

use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\RouterInterface;

/**
 * Every route, parameter and importer with what nobody should send: no answer is "an error of the server", none takes ten
 * seconds or 256 MB. A short run here; a long one: FUZZ_REQUESTS=10000 FUZZ_SEED=1 vendor/bin/phpunit tests/App/Fuzz.
 */
final class FuzzTest extends AppCase
{
    private const REQUESTS = 300;
    private const SECONDS = 10.0;
    private const MEGABYTES = 200;
    private const UPLOADS = ['/gardens/file' => 'file', '/standing/list' => 'file', '/crops/sheet/in' => 'file', '/place/record' => 'file'];

    private \Random\Randomizer $chance;
    private Nasty $nasty;
    /** @var list<array{method: string, path: string, fields: array<string, mixed>}> what the pages themselves would send */
    private array $offers = [];
    /** @var list<string> */
    private array $names = [];
    /** @var array<int, int> answers by status */
    private array $answers = [];

    public function testNothingSentBreaksAnything(): void
    {
        $seed = (int) (getenv('FUZZ_SEED') ?: 20261127);
        $this->chance = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $this->nasty = new Nasty($this->chance);
        $this->garden = $this->keep(SmallGarden::json(['climate' => ['timed_by' => 'heat-and-light']]));
        $token = $this->token();
        $this->look();
        self::assertGreaterThan(60, \count($this->offers));
        $broken = [];
        $requests = (int) (getenv('FUZZ_REQUESTS') ?: self::REQUESTS);
        for ($n = 0; $n < $requests; ++$n) {
            [$method, $path, $fields, $files] = $this->request();
            $broken = [...$broken, ...$this->tried($n, $method, $path, ['_token' => $token, ...$fields], $files)];
        }

        if (false !== getenv('FUZZ_REQUESTS')) {
            ksort($this->answers);
            fwrite(\STDERR, json_encode($this->answers, \JSON_THROW_ON_ERROR)."\n");
        }
        self::assertSame([], $broken);
        self::assertGreaterThan($requests / 8, ($this->answers[200] ?? 0) + ($this->answers[303] ?? 0), 'much of it goes deep');
        self::assertGreaterThan($requests / 20, $this->answers[422] ?? 0, 'some of it is refused in words');
    }

    /**
     * @param array<string, mixed>        $fields
     * @param array<string, UploadedFile> $files
     *
     * @return list<string> what was wrong
     */
    private function tried(int $n, string $method, string $path, array $fields, array $files): array
    {
        memory_reset_peak_usage();
        [$start, $before] = [hrtime(true), memory_get_usage()];
        try {
            $this->browser->request($method, $path, $fields, $files, 0 === $this->chance->getInt(0, 3) ? ['HTTP_HX_REQUEST' => 'true']
                : []);
            $status = $this->browser->getResponse()->getStatusCode();
            $this->answers[$status] = 1 + ($this->answers[$status] ?? 0);
        } catch (\Throwable $failure) {
            $status = $failure::class.': '.$failure->getMessage().' '.$failure->getFile().':'.$failure->getLine();
        }
        $seconds = (hrtime(true) - $start) / 1e9;
        $megabytes = (memory_get_peak_usage() - $before) / 1048576;
        $wrong = match (true) {
            \is_string($status), $status >= 500 && Response::HTTP_SERVICE_UNAVAILABLE !== $status => $status,
            $seconds > self::SECONDS => \sprintf('%.1f s', $seconds),
            $megabytes > self::MEGABYTES => \sprintf('%.0f MB', $megabytes),
            default => null,
        };
        if (null === $wrong) {
            return [];
        }
        $shown = mb_substr((string) json_encode($fields, \JSON_INVALID_UTF8_SUBSTITUTE), 0, 900);
        $line = \sprintf('%d %s %s %s %s: %s', $n, $method, mb_substr(mb_scrub($path), 0, 300), $shown, implode(',', array_keys($files)),
            $wrong);
        if (false !== getenv('FUZZ_REQUESTS')) {
            fwrite(\STDERR, $line."\n");
        }

        return [$line];
    }

    /** @return array{string, string, array<string, mixed>, array<string, UploadedFile>} */
    private function request(): array
    {
        return match ($this->chance->getInt(0, 9)) {
            0 => $this->upload(),
            1, 2, 3 => $this->route(),
            default => $this->offered(),
        };
    }

    /** @return array{string, string, array<string, mixed>, array<string, UploadedFile>} what a page would send, with some of it changed */
    private function offered(): array
    {
        $offer = $this->offers[$this->chance->getInt(0, \count($this->offers) - 1)];
        $fields = $offer['fields'];
        for ($changes = $this->chance->getInt(1, 3); $changes > 0 && [] !== $fields; --$changes) {
            $fields[$this->chance->pickArrayKeys($fields, 1)[0]] = $this->nasty->value();
        }

        return [$offer['method'], $offer['path'], $fields, []];
    }

    /** @return array{string, string, array<string, mixed>, array<string, UploadedFile>} any route with any names */
    private function route(): array
    {
        $routes = array_values($this->service(RouterInterface::class)->getRouteCollection()->all());
        $route = $routes[$this->chance->getInt(0, \count($routes) - 1)];
        $good = $this->good();
        $path = (string) preg_replace_callback('/\{(\w+)\}/', fn (array $m): string => 'garden' !== $m[1] && 0 === $this->chance->getInt(0,
            1) ? $this->nasty->step() : ($good[$m[1]] ?? 'none'), $route->getPath());
        $methods = $route->getMethods();
        $fields = [];
        for ($names = $this->chance->getInt(1, 4); $names > 0; --$names) {
            $fields[$this->names[$this->chance->getInt(0, \count($this->names) - 1)]] = $this->nasty->value();
        }

        return [[] === $methods || str_contains($path, 'sign-out') ? 'HEAD' : $methods[$this->chance->getInt(0, \count($methods) - 1)],
            str_contains($path, 'sign-out') ? '/healthy' : $path, $fields, []];
    }

    /** @return array{string, string, array<string, mixed>, array<string, UploadedFile>} */
    private function upload(): array
    {
        $to = $this->chance->pickArrayKeys(self::UPLOADS, 1)[0];
        $bytes = $this->nasty->file();
        $path = str_starts_with((string) $to, '/gardens') ? (string) $to : $this->path((string) $to);
        if (0 === $this->chance->getInt(0, 2)) {
            return ['POST', $path, ['list' => $bytes, 'text' => $bytes, 'months' => $bytes], []];
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'fuzz');
        file_put_contents($file, $bytes);

        return ['POST', $path, ['list' => ''], [self::UPLOADS[$to] => new UploadedFile($file, 'some.'.['json', 'csv', 'xlsx',
            'ods'][$this->chance->getInt(0, 3)], null, null, true)]];
    }

    /** Reads every page once: its forms and links are what is sent changed. */
    private function look(): void
    {
        $good = $this->good();
        $names = [];
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $route) {
            if (\in_array('GET', $route->getMethods(), true)) {
                $path = (string) preg_replace_callback('/\{(\w+)\}/', static fn (array $m): string => $good[$m[1]] ?? 'none',
                    $route->getPath());
                $this->browser->request('GET', $path);
                $this->offers[] = ['method' => 'GET', 'path' => $path, 'fields' => ['day' => '', 'from' => '', 'until' => '', 'bed' => '']];
                $this->readPage();
            }
        }
        foreach ($this->offers as $offer) {
            $names = [...$names, ...array_map(strval(...), array_keys($offer['fields']))];
        }
        $this->names = array_values(array_unique($names));
    }

    private function readPage(): void
    {
        $page = $this->browser->getCrawler();
        foreach ($page->filter('form') as $node) {
            if (!$node instanceof \DOMElement) {
                continue;
            }
            $form = new \Symfony\Component\DomCrawler\Form($node, 'http://localhost/');
            $to = (string) parse_url($form->getUri(), \PHP_URL_PATH);
            /** @var array<string, mixed> $fields */
            $fields = array_diff_key($form->getPhpValues(), ['_token' => 0]);
            $this->offers[] = ['method' => strtoupper($form->getMethod()), 'path' => $to, 'fields' => $fields];
        }
        foreach ($page->filter('a[href*="?"]')->slice(0, 4) as $node) {
            $link = Request::create($node->attributes?->getNamedItem('href')->nodeValue ?? '/');
            $fields = [];
            foreach ($link->query->all() as $name => $value) {
                $fields[(string) $name] = $value;
            }
            $this->offers[] = ['method' => 'GET', 'path' => $link->getPathInfo(), 'fields' => $fields];
        }
    }

    /** @return array<string, string> a good value for each part of an address */
    private function good(): array
    {
        return ['garden' => $this->garden, 'crop' => 'lettuce-head', 'bed' => 'A3', 'recipe' => 'compost-mulch', 'format' => 'csv',
            'number' => '1', 'planting' => (string) array_values($this->service(Snapshot::class)->plantingIds($this->garden))[0],
            'member' => $this->grower->id];
    }
}
