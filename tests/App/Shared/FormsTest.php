<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use App\Tests\Support\AppCase;
use App\Tests\Wording\UnitWalkTest;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** Every form: bad input comes back filled in, with a message at the field, and nothing is stored. */
final class FormsTest extends AppCase
{
    /** @return iterable<string, array{string, array<string, mixed>, string, string}> path, fields, field, message */
    public static function bad(): iterable
    {
        $series = ['block' => 'B', 'prefix' => 'B', 'first' => '1', 'count' => '3', 'length' => '25 m', 'width' => '75 cm',
            'path' => '45 cm', 'place' => 'field'];
        yield 'beds: no block' => ['/beds/series', [...$series, 'block' => ''], 'block', 'Please write something'];
        yield 'beds: none' => ['/beds/series', [...$series, 'count' => '0'], 'count', 'whole number from 1 to 200'];
        yield 'beds: a whole farm' => ['/beds/series', [...$series, 'count' => '201'], 'count', 'whole number from 1 to 200'];
        yield 'beds: length of words' => ['/beds/series', [...$series, 'length' => 'long'], 'length', 'is not a length'];
        yield 'beds: unknown unit' => ['/beds/series', [...$series, 'width' => '3 spans'], 'width', 'is not known here'];
        yield 'beds: absurd length' => ['/beds/series', [...$series, 'length' => '900 m'], 'length', 'outside what is allowed'];
        yield 'beds: name taken' => ['/beds/series', [...$series, 'prefix' => 'A'], 'prefix', 'There is a bed A1 already'];
        $past = ['bed' => 'A1', 'crop' => 'kale', 'cleared' => '2025-10-01', 'from' => '', 'to' => ''];
        yield 'history: no such bed' => ['/beds/past', [...$past, 'bed' => 'Q7'], 'bed', 'no such bed'];
        yield 'history: not a day' => ['/beds/past', [...$past, 'cleared' => '31.10.'], 'cleared', 'is not a date'];
        yield 'history: in the future' => ['/beds/past', [...$past, 'cleared' => '2030-01-01'], 'cleared', 'still to come'];
        yield 'history: backwards' => ['/beds/past', [...$past, 'from' => '20', 'to' => '10'], 'to', 'beyond its start'];
        yield 'history: of no length' => ['/beds/past', [...$past, 'from' => '10', 'to' => '10'], 'to', 'beyond its start'];
        yield 'history: longer than the bed' => ['/beds/past', [...$past, 'to' => '25.01'], 'to', 'outside what is allowed'];
        yield 'reading: upside down by half a degree' => ['/station', ['day' => '2026-02-01', 'min' => '10.5', 'max' => '10'], 'min',
            'lies above the maximum, 10 °C'];
        yield 'reading: still to come' => ['/station', ['day' => '2026-03-03', 'min' => '1', 'max' => '5'], 'day', 'still to come'];
        yield 'reading: of nothing' => ['/station', ['day' => '2026-02-01', 'min' => '', 'max' => '', 'rain' => ''], 'min',
            'at least one of the three'];
        $outlet = ['name' => 'Inn', 'weekdays' => ['5'], 'priority' => '3', 'pick_window_days' => '2', 'pick_to_sale_days' => ''];
        yield 'outlet: name taken' => ['/offer/outlet', [...$outlet, 'name' => 'Boxes'], 'name', 'one of this name already'];
        yield 'outlet: no number' => ['/offer/outlet', [...$outlet, 'priority' => 'first'], 'priority', 'whole number from 1 to 99'];
        $product = ['name' => 'Bag', 'unit' => 'bag', 'price' => '2.50', 'item0' => 'kale', 'units0' => '1'];
        yield 'product: no price' => ['/offer/product', [...$product, 'price' => 'cheap'], 'price', 'not an amount of money'];
        yield 'product: of nothing' => ['/offer/product', [...$product, 'item0' => '', 'units0' => ''], 'item0', 'at least one crop'];
        yield 'product: no units' => ['/offer/product', [...$product, 'units0' => '-2'], 'units0', 'Write a number from 0.001'];
        yield 'settings: beyond the pole' => ['/settings', ['name' => 'G', 'latitude' => '91'], 'latitude', 'number from -66 to 66'];
        yield 'settings: no frost day' => ['/settings', ['name' => 'G', 'last_frost' => '14.5.'], 'last_frost', 'is not a day of the year'];
        yield 'settings: no sowing day' => ['/settings', ['name' => 'G'], 'sowing_days', 'at least one day of the week'];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('bad')]
    public function testComesBackFilledInWithTheReason(string $path, array $fields, string $field, string $message): void
    {
        if ('/station' === $path) {
            $this->post($this->path('/place/months'), ['pasted' => UnitWalkTest::MONTHS, 'temperature' => 'C', 'rain_in' => 'mm']);
        }
        $before = $this->everything();
        $this->post($this->path($path), $fields);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($message, $this->text());
        self::assertSame($before, $this->everything());
        if ('sowing_days' !== $field && '' !== $fields[$field] && !\in_array($fields[$field], ['Q7'], true)) {
            self::assertSelectorExists(\sprintf('[name="%s"][aria-invalid="true"]', $field));
            self::assertSame($fields[$field], $this->browser->getCrawler()->filter(\sprintf('[name="%s"]', $field))->attr('value'));
        }
    }

    public function testPromisesKeepEveryNumberTypedWhenOneIsWrong(): void
    {
        $before = $this->everything();
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-01',
            'q' => ['lettuce' => [20607 => '12', 20614 => 'a dozen']], 'price' => ['lettuce' => '1.80', 'corn' => '-1']]);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('"a dozen" is not a quantity', $this->text());
        self::assertStringContainsString('"-1" is not an amount of money', $this->text());
        self::assertSelectorExists('input[name="q[lettuce][20607]"][value="12"]');
        self::assertSelectorExists('input[name="q[lettuce][20614]"][value="a dozen"][aria-invalid="true"]');
        self::assertSame($before, $this->everything());
    }

    public function testABrokenFileIsToldFaultByFault(): void
    {
        $before = $this->everything();
        $file = (string) tempnam(sys_get_temp_dir(), 'garden');
        file_put_contents($file, '{"format": "jolly-furrow-garden", "version": 1, "beds": 3}');
        $this->browser->request('POST', '/gardens/file', ['_token' => $this->token()], ['file' => new UploadedFile($file, 'garden.json',
            'application/json', null, true)]);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('beds', $this->text());
        self::assertStringContainsString('must be a list', $this->text());
        self::assertSame($before, $this->everything());
    }

    public function testAGardenWithoutANameOrAtThePoleIsNotBegun(): void
    {
        foreach ([[['name' => '', 'where' => '47', 'units' => 'metric'], 'name', 'Please write something'],
            [['name' => 'Icy', 'where' => '88', 'units' => 'metric'],
            'where', 'too near a pole']] as [$fields, $field, $message]) {
            $this->post('/gardens', $fields);

            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString($message, $this->text());
            self::assertSelectorExists(\sprintf('[name="%s"][aria-invalid="true"]', $field));
        }
        self::assertSame(1, $this->service(\Doctrine\DBAL\Connection::class)->fetchOne('SELECT COUNT(*) FROM garden'));
    }

    public function testASouthernGardenHasItsFrostsTheOtherWayRound(): void
    {
        $this->post('/gardens', ['name' => 'South', 'where' => '41.5 S', 'units' => 'metric']);
        $id = $this->service(\Doctrine\DBAL\Connection::class)->fetchOne("SELECT id FROM garden WHERE name = 'South'");
        self::assertResponseRedirects('/g/'.(\is_string($id) ? $id : '').'/standing');
        self::assertIsString($id);
        $place = $this->service(\App\Store\Snapshot::class)->of($id)->place;

        self::assertContains($place->lastFrost->month, [10, 11]);
        self::assertContains($place->firstFrost->month, [4, 5]);
        $this->browser->request('GET', '/g/'.$id.'/wall');
        self::assertSelectorTextContains('h1', 'Season 2025/26');
        $this->browser->request('GET', '/g/'.$id.'/season');
        self::assertSelectorTextContains('h1', 'Promised in 2025/26');
    }

    public function testASeriesInFeetAndInches(): void
    {
        $this->post($this->path('/beds/series'), ['block' => 'N', 'prefix' => 'N', 'first' => '1', 'count' => '12', 'length' => '82 ft',
            'width' => '2.5 ft', 'path' => '18 in', 'place' => 'field']);

        self::assertResponseStatusCodeSame(303);
        $bed = $this->snapshot()->bedsByName()['N12'];
        self::assertSame([24_993_600, 762_000, 457_200], [$bed->length->micrometres, $bed->width->micrometres, $bed->path->micrometres]);
        self::assertCount(16, $this->snapshot()->beds);
    }

    /** A form looked at in other units and kept moves nothing, though what it shows is rounded. */
    public function testSettingsKeptInFeetAndPoundsStayAsTheyWere(): void
    {
        $before = $this->snapshot();
        $this->service(\Doctrine\DBAL\Connection::class)->executeStatement("UPDATE garden SET units = 'us'");
        $form = $this->browser->request('GET', $this->path('/settings'))->selectButton('Save')->form();
        self::assertSame(['1017 ft', 'May 14', '0.8 in', '2.05 lb/1,000 sq ft'],
            array_map(static fn (string $n): mixed => $form->getValues()[$n] ?? null, ['altitude', 'last_frost', 'compost_depth',
            'nitrogen_rate']));
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        $this->service(\Doctrine\DBAL\Connection::class)->executeStatement("UPDATE garden SET units = 'metric'");

        self::assertEquals([$before->place, $before->settings], [$this->snapshot()->place, $this->snapshot()->settings]);
    }

    public function testGoodOutletsProductsHistoryAndSettingsAreKept(): void
    {
        $this->post($this->path('/offer/outlet'), ['name' => 'Inn', 'weekdays' => ['5'], 'priority' => '3', 'pick_window_days' => '2',
            'pick_to_sale_days' => '1']);
        $this->post($this->path('/offer/product'), ['name' => 'Herb bag', 'unit' => 'bag', 'price' => '3,20', 'item0' => 'parsley',
            'units0' => '1', 'item1' => 'basil', 'units1' => '0.5']);
        $this->post($this->path('/beds/past'), ['bed' => 'A2', 'crop' => 'kale', 'cleared' => '2025-10-01', 'from' => '5 m', 'to' => '']);
        $garden = $this->snapshot();

        self::assertSame('inn', $garden->outlets[2]->key);
        self::assertSame([320, 0.5], [$garden->products[3]->price->cents, $garden->products[3]->parts[1]->units]);
        self::assertSame([5_000_000, 25_000_000], [$garden->history[1]->stretch->from, $garden->history[1]->stretch->to]);
    }
}
