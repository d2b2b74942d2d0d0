<?php

declare(strict_types=1);

namespace App\Tests\Record;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Planting\Planting;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** The pages behind what stands: a list read, asked about and kept whole or not at all. */
final class StandingTest extends AppCase
{
    private const LIST = "A1, radish, sown 10 Feb, half\nA2, lettuce, planted 20 February, 5 m";

    public function testAListIsReadAskedAboutAndKept(): void
    {
        $before = $this->everything();
        $this->post($this->path('/standing/list'), ['text' => self::LIST]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Which one: Head lettuce or', $this->text());
        self::assertSelectorExists('input[value="planted 20 February"]');
        self::assertSame($before, $this->everything(), 'looking keeps nothing');

        $this->post($this->path('/standing'), ['keep' => '1', 'column' => ['bed', 'crop', 'date', 'length'],
            'cell' => [['A1', 'radish', 'sown 10 Feb', 'half'], ['A2', 'head lettuce', 'planted 20 February', '5 m']]]);
        self::assertResponseRedirects($this->path('/standing'));
        self::assertSame(['leek', 'lettuce-head', 'radish'], $this->items());
        $this->browser->followRedirect();
        self::assertStringContainsString('In the ground: 2 plantings entered.', $this->text());
        $this->post($this->path('/log/2/take-back'), []);
        self::assertSame(['leek'], $this->items());
    }

    /** What is picked year after year is ready when its next season begins, not ever since its first. */
    public function testAPerennialIsReadyInItsSeason(): void
    {
        $values = SmallGarden::values();
        self::assertIsArray($values['plantings']);
        self::assertIsArray($values['plantings'][0]);
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => [...$values['plantings'][0], 'key' => 'asparagus@2022-04-05#1',
            'item' => 'asparagus', 'method' => 'sown', 'sow' => '2022-04-05', 'ground' => '2022-04-05', 'bed_start' => '2022-04-01',
            'ready' => '2024-04-25', 'clear' => '2031-06-12',
            'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 5000, 'width_share' => 1.0]]]]]));
        $rows = $this->browser->request('GET', $this->path('/standing'))->filter('table.stack tbody tr')->each(
            static fn ($row): string => (string) preg_replace('/\s+/u', ' ', $row->text()));

        self::assertStringStartsWith('now Leek', $rows[0]);
        self::assertStringStartsWith('25 Apr Asparagus A1', $rows[1]);
        self::assertStringContainsString('12 Jun', $rows[1]);
        self::assertStringNotContainsString('2031', $rows[1]);
    }

    public function testOneUnclearRowKeepsThemAllBack(): void
    {
        $before = $this->everything();
        $this->post($this->path('/standing'), ['keep' => '1', 'column' => ['bed', 'crop', 'date', 'length'],
            'cell' => [['A1', 'radish', 'sown 10 Feb', 'half'], ['Q9', 'radish', '31 February', '-3 m']]]);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('There is no bed "Q9"', $this->text());
        self::assertStringContainsString('does not exist in the calendar', $this->text());
        self::assertSelectorExists('input[value="31 February"][aria-invalid]');
        self::assertSame($before, $this->everything());
        $this->post($this->path('/standing'), ['keep' => '1', 'left' => ['1'], 'column' => ['bed', 'crop', 'date', 'length'],
            'cell' => [['A1', 'radish', 'sown 10 Feb', 'half'], ['Q9', 'radish', '31 February', '-3 m']]]);
        self::assertSame(['leek', 'radish'], $this->items());
    }

    /** A crop the book lacks is made from the cell in one step, of one that grows like it; the list goes on from there. */
    public function testACropTheBookLacksIsAddedFromTheList(): void
    {
        $list = ['column' => ['bed', 'crop', 'date', 'length'], 'cell' => [['A1', 'Yacon', 'planted 20 February', '5 m']],
            'called-0' => 'Yacon', 'grow' => '0'];
        $this->post($this->path('/standing'), [...$list, 'like-0' => 'moonfruit']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('"moonfruit" is not in the crop book', $this->text());
        self::assertSame([], $this->snapshot()->own);

        $this->post($this->path('/standing'), [...$list, 'like-0' => 'beet']);
        self::assertStringContainsString('Yacon, 5 m', $this->text());
        unset($list['grow']);
        $this->post($this->path('/standing'), [...$list, 'keep' => '1']);
        self::assertSame(['leek', 'own-yacon'], $this->items());
        self::assertSame('taken from Beet, bunched', $this->snapshot()->own[0]->note);
    }

    public function testBedsThatAreNotThereAreMadeWhenAsked(): void
    {
        $this->post($this->path('/standing'), ['keep' => '1', 'make' => '1', 'bed_length' => '30 m', 'bed_width' => '80 cm',
            'bed_place' => 'field', 'column' => ['bed', 'crop', 'sown'], 'cell' => [['N1', 'radish', '10 Feb'],
            ['N2', 'radish', '11 Feb']]]);
        $beds = $this->snapshot()->bedsByName();

        self::assertSame([30_000_000, 'N'], [$beds['N1']->length->micrometres, $beds['N1']->block]);
        self::assertArrayHasKey('N2', $beds);
        $this->post($this->path('/log/2/take-back'), []);
        self::assertArrayNotHasKey('N1', $this->snapshot()->bedsByName());
    }

    #[DataProvider('files')]
    public function testAFileInAnyOfThreeEncodingsIsTheSameList(string $bytes): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'list');
        file_put_contents($file, $bytes);
        $this->browser->request('POST', $this->path('/standing/list'), ['_token' => $this->token()],
            ['file' => new UploadedFile($file, 'list.csv', test: true)]);

        self::assertResponseIsSuccessful();
        self::assertSelectorExists('input[value="früh"]');
        self::assertStringContainsString('Radish, 12.5 m: sown in the bed 10 Feb', $this->text());
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $text = "Bed;Crop;Sown;Length;Remark\nA1;radish;10 Feb;½;früh\n";
        yield 'UTF-8' => [$text];
        yield 'UTF-16' => ["\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')];
        yield 'Windows-1252' => [mb_convert_encoding($text, 'Windows-1252', 'UTF-8')];
    }

    /** Titles, totals and dates of a spreadsheet, as somebody keeps it. */
    #[TestWith(['xlsx'])]
    #[TestWith(['ods'])]
    public function testASpreadsheetIsTheSameList(string $format): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'list');
        copy(__DIR__.'/../../fixtures/lists/field.'.$format, $file);
        $this->browser->request('POST', $this->path('/standing/list'), ['_token' => $this->token()],
            ['file' => new UploadedFile($file, 'field.'.$format, test: true)]);

        self::assertResponseIsSuccessful();
        self::assertStringContainsString('Left out: “Field 2026”, “Total, 62.5”', $this->text());
        self::assertStringContainsString('Radish, 12.5 m: sown in the bed 10 Feb', $this->text());
        self::assertSame(['A1', 'A1', 'A2'], $this->browser->getCrawler()->filter('input[name^=cell][aria-label$=", bed"]')->each(
            static fn ($cell): string => (string) $cell->attr('value')));
    }

    /** What the list may mean is one tap away, and nothing of the row is lost. */
    public function testABestGuessIsTaken(): void
    {
        $this->post($this->path('/standing/list'), ['text' => "Bed,Crop,Sown,Note\nA1,radsh,10 Feb,seed from Tansy"]);
        self::assertResponseStatusCodeSame(422);
        $this->browser->submitForm('Radish');
        self::assertResponseIsSuccessful();
        self::assertSelectorExists('input[value="seed from Tansy"]');
        self::assertSelectorExists('input[value="Radish"]');
        $this->browser->submitForm('Save this planting');
        self::assertContains('radish', $this->items());
    }

    public function testTwentyMegabytesOfNonsenseAreRefusedInWords(): void
    {
        $before = $this->everything();
        $this->post($this->path('/standing/list'), ['text' => str_repeat("\xFFrubbish\x00\t", 2_000_000)]);
        self::assertResponseStatusCodeSame(400);
        self::assertStringContainsString('signs that are no text', $this->text());
        $this->post($this->path('/standing/list'), ['text' => str_repeat("rubbish\t", 2_000_000)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('larger than 1 MB', $this->text());

        $this->post($this->path('/standing/list'), ['text' => str_repeat("A1,radish,10 Feb\n", 500)]);
        self::assertStringContainsString('more than 400 rows', $this->text());
        $this->post($this->path('/standing/list'), ['text' => "\x01 \n "]);
        self::assertStringContainsString('Paste at least one row', $this->text());
        self::assertSame($before, $this->everything());
    }

    public function testTheSecondOfTwoWhoFillTheSameBedIsAsked(): void
    {
        $fields = ['keep' => '1', 'column' => ['bed', 'crop', 'date', 'length'], 'cell' => [['A1', 'radish', 'sown 10 Feb', '20 m']]];
        $this->post($this->path('/standing'), $fields);
        $once = $this->everything();
        $this->post($this->path('/standing'), [...$fields, 'cell' => [['A1', 'kale', 'planted 20 Feb', '20 m']]]);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('20 m do not fit on bed A1: free in that time are 5 m', $this->text());
        self::assertSame($once, $this->everything());
    }

    /** @return list<string> */
    private function items(): array
    {
        $items = array_map(static fn (Planting $p): string => $p->item, $this->snapshot()->plantings->all());
        sort($items);

        return $items;
    }

    /** 6/28 says month first; the answer goes along to Save, where 7/6 would be a day in June otherwise. */
    public function testTheOrderOfDatesSettledOnceIsKept(): void
    {
        $this->garden = $this->keep(SmallGarden::json(['settings' => ['units' => 'us']]));
        $this->post($this->path('/standing/list'), ['text' => "A1, radish, sown 2/28/2026, 10 ft\nA2, radish, sown 3/1/2026, 10 ft"]);
        $form = $this->browser->getCrawler()->filter('button[name=keep]')->form();
        $this->browser->submit($form);
        self::assertResponseRedirects($this->path('/standing'));

        self::assertSame(['2026-02-28', '2026-03-01'], $this->sown('radish'));
    }

    /** What the book only sows in the bed, or only raises, is taken so, with a word; its page opens. */
    #[DataProvider('ways')]
    public function testAWayTheBookLacksIsTakenAsTheNearest(string $crop, string $how, string $way, string $word): void
    {
        $this->post($this->path('/standing/list'), ['text' => "A1, {$crop}, {$how} 20 February, 5 m"]);
        self::assertResponseIsSuccessful();
        '' === $word ? self::assertStringNotContainsString('taken as', $this->text()) : self::assertStringContainsString($word,
            $this->text());
        $this->browser->submit($this->browser->getCrawler()->filter('button[name=keep]')->form());
        $planting = $this->snapshot()->plantings->where(static fn (Planting $p): bool => 'leek' !== $p->item)->all()[0];
        self::assertSame($way, $planting->method->value);
        $this->everyPageOf($planting);
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function ways(): iterable
    {
        yield 'garlic is planted' => ['garlic', 'planted', 'sown', ''];
        yield 'potatoes are planted' => ['storage potato', 'planted', 'sown', ''];
        yield 'carrots' => ['carrot', 'planted', 'sown', 'taken as sown in the bed'];
        yield 'tomatoes' => ['tomato', 'sown', 'transplanted', 'taken as sown in trays'];
    }

    /** Kept by an earlier version, brought in by a file, or left by a value taken out of the book: no page goes wrong over it. */
    #[DataProvider('kept')]
    public function testAKeptPlantingOfAWayTheBookLacksOpens(string $item, string $method): void
    {
        foreach (['catalogue-days', 'heat-and-light'] as $by) {
            $this->garden = $this->keep(SmallGarden::json(['climate' => ['timed_by' => $by],
                'plantings' => [['key' => $item.'@2026-02-20#1',
                'item' => $item, 'method' => $method, 'sow' => '2026-02-20', 'ground' => '2026-02-20', 'bed_start' => '2026-02-15',
                'ready' => '2026-06-15', 'clear' => '2026-07-06']]]));
            $this->everyPageOf($this->snapshot()->plantings->all()[0]);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function kept(): iterable
    {
        foreach ([['garlic', 'transplanted'], ['potato-storage', 'transplanted'], ['carrot', 'transplanted'], ['bean-bush', 'transplanted'],
            ['tomato', 'sown']] as [$item, $method]) {
            yield $item => [$item, $method];
        }
    }

    private function everyPageOf(Planting $planting): void
    {
        $id = $this->service(\App\Store\Snapshot::class)->plantingIds($this->garden)[$planting->key];
        foreach (['/planting/'.$id, '/planting/'.$id.'/change', '/planting/'.$id.'/change?do=move&try=1&when=2026-03-01',
            '/planting/'.$id.'/note',
            '/planting/'.$id.'/stand', '/planting/'.$id.'/cover', '/bed/'.$planting->pieces[0]->bed, '/wall', '/standing', '/plan', '/care',
                '/ahead',
            '/season', '/proposal', '/crops/'.$planting->variety, '/compare?crop='.$planting->variety] as $page) {
            $this->browser->request('GET', $this->path($page));
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode(), $planting->key.' '.$page);
        }
    }

    /** @return list<string> sowing days */
    private function sown(string $item): array
    {
        $days = array_map(static fn (Planting $p): string => $p->sow->iso(), $this->snapshot()
            ->plantings->where(static fn (Planting $p): bool => $item === $p->item)->all());
        sort($days);

        return $days;
    }
}
