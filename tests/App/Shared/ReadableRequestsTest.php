<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Exception\Limits;
use PHPUnit\Framework\Attributes\TestWith;

/** What no page is meant to be sent is answered in words, and never kept. */
final class ReadableRequestsTest extends AppCase
{
    #[TestWith(["\xFF\xFE"])]
    #[TestWith(["a\x00b"])]
    #[TestWith(["\xC0\xAF"])]
    public function testBytesThatAreNoTextAreRefusedEverywhere(string $bytes): void
    {
        $before = $this->everything();
        $this->browser->request('GET', $this->path('/bed/'.rawurlencode($bytes)));
        self::assertResponseStatusCodeSame(400);
        self::assertStringContainsString('signs that are no text', $this->text());
        foreach (['/wall?product=', '/promises?from='] as $page) {
            $this->browser->request('GET', $this->path($page.rawurlencode($bytes)));
            self::assertResponseStatusCodeSame(400, $page);
        }
        $this->post($this->path('/beds/series'), ['prefix' => [$bytes]]);
        self::assertResponseStatusCodeSame(400);
        $this->post('/gardens', ['name' => $bytes, 'where' => '47']);
        self::assertResponseStatusCodeSame(400);
        self::assertSame($before, $this->everything());
    }

    /** Days no garden has, wherever a day is taken: in an address, a field, a number of a day, a file. */
    #[TestWith(['1900-01-01', -25567])]
    #[TestWith(['1969-12-31', -1])]
    #[TestWith(['2151-01-01', 66109])]
    #[TestWith(['2199-12-31', 84006])]
    public function testDaysFarAwayAreRefused(string $day, int $number): void
    {
        foreach (['/promises?from='.$day, '/bed/A1/free?from='.$day, '/forward?try=1&crop=radish&where=bed:A1&from='.$day.'&until='.$day,
            '/crops/radish/ladder?day='.$day, '/bed/A1/cover?cover=fleece&from='.$day.'&to='.$day] as $page) {
            $this->browser->request('GET', $this->path($page));
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode(), $page);
        }
        $before = $this->everything();
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-01', 'q' => ['lettuce' => [(string) $number => '9']],
            'price' => []]);
        self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());
        $this->post($this->path('/beds/past'), ['bed' => 'A1', 'crop' => 'radish', 'cleared' => $day, 'from' => '', 'to' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertSame($before, $this->everything());
        $this->post($this->path('/gardens/file'), []);
        $this->expectException(\App\Codec\UnusableFile::class);
        $this->keep(SmallGarden::json(['promises' => [['day' => $day]]]));
    }

    #[TestWith(['A/'])]
    #[TestWith(['A\\'])]
    #[TestWith(["A\u{202E}B"])]
    public function testABedsNameFitsAnAddress(string $prefix): void
    {
        $before = $this->everything();
        $this->post($this->path('/beds/series'), ['block' => 'A', 'prefix' => $prefix, 'first' => '1', 'count' => '2', 'length' => '25 m',
            'width' => '75 cm', 'path' => '45 cm', 'place' => 'field']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('will not do as the name of a bed', $this->text());
        $this->post($this->path('/standing'), ['keep' => '1', 'make' => '1', 'bed_length' => '25 m', 'bed_width' => '75 cm',
            'bed_place' => 'field', 'column' => ['bed', 'crop', 'sown'], 'cell' => [[$prefix.'1', 'radish', '10 Feb']]]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame($before, $this->everything());
        $this->expectException(\App\Codec\UnusableFile::class);
        $this->keep(SmallGarden::json(['beds' => [['name' => $prefix.'1']]]));
    }

    /** Two hundred beds of half a kilometre are a hundred kilometres. */
    public function testManyLongBedsAddUp(): void
    {
        $beds = array_map(static fn (int $n): array => ['name' => 'X'.$n, 'block' => 'A', 'length_mm' => 500_000, 'width_mm' => 1_000,
            'path_mm' => 450, 'place' => 'field'], range(1, 200));
        $this->garden = $this->keep(SmallGarden::json(['beds' => array_combine(range(4, 203), $beds)]));
        foreach (['beds', 'wall', 'standing', 'ahead', 'week', 'plan', 'season', 'settings', 'rules', 'crops/radish', 'forward'] as $page) {
            $this->browser->request('GET', $this->path('/'.$page));
            self::assertResponseIsSuccessful($page);
        }
    }

    /** The limits are written down once in the code and once for people, with the same numbers. */
    public function testTheLimitsAreTheOnesOfTheDocs(): void
    {
        $docs = (string) file_get_contents(\dirname(__DIR__, 3).'/docs/limits.md');
        preg_match_all('/^\| `(\w+)` \| ([\d,]+) \|/m', $docs, $rows, \PREG_SET_ORDER);
        $written = array_map(static fn (array $row): int => (int) str_replace(',', '', $row[2]), array_column($rows, null, 1));
        $limits = (new \ReflectionClass(Limits::class))->getConstants();
        ksort($written);
        ksort($limits);

        self::assertSame($limits, $written);
    }
}
