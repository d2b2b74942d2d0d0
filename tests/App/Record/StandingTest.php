<?php

declare(strict_types=1);

namespace App\Tests\Record;

use App\Tests\Support\AppCase;
use JollyFurrow\Planting\Planting;
use PHPUnit\Framework\Attributes\DataProvider;
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
        self::assertStringContainsString('What stands: 2 plantings entered.', $this->text());
        $this->post($this->path('/log/2/take-back'), []);
        self::assertSame(['leek'], $this->items());
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

    public function testBedsThatAreNotThereAreMadeWhenAsked(): void
    {
        $this->post($this->path('/standing'), ['keep' => '1', 'make' => '1', 'bed_length' => '30 m', 'bed_width' => '80 cm',
            'bed_place' => 'field', 'column' => ['bed', 'crop', 'sown'], 'cell' => [['N1', 'radish', '10 Feb'],
            ['N2', 'radish', '11 Feb']]]);
        $beds = $this->snapshot()->bedsByName();

        self::assertSame([30_000, 'N'], [$beds['N1']->length->millimetres, $beds['N1']->block]);
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

    public function testTwentyMegabytesOfNonsenseAreRefusedInWords(): void
    {
        $before = $this->everything();
        $this->post($this->path('/standing/list'), ['text' => str_repeat("\xFFrubbish\x00\t", 2_000_000)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('That is 20.0 MB of text', $this->text());

        $this->post($this->path('/standing/list'), ['text' => str_repeat("A1,radish,10 Feb\n", 500)]);
        self::assertStringContainsString('At most 400 rows', $this->text());
        $this->post($this->path('/standing/list'), ['text' => "\x00\x01 \n "]);
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
}
