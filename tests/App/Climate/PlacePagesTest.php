<?php

declare(strict_types=1);

namespace App\Tests\Climate;

use App\Change\PlantingMark;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** The place by months or by a record, readings typed and from the station; bad input is told and nothing is kept by halves. */
final class PlacePagesTest extends AppCase
{
    private const MONTHS = "-3 \t-2.5\t0.5\t3.6\t8\t11.2\t13\t12.6\t9.2\t5.4\t1.2\t-1.8\n3.2\t5\t10.3\t15.2\t19.8\t22.9\t25\t24.5\t19.9\t14.2\t7.9\t4\n60\t55\t60\t65\t85\t95\t100\t90\t75\t65\t65\t65";

    public function testTwelveMonthsMakeAClimateThatIsTakenBack(): void
    {
        self::assertNull($this->snapshot()->timing());
        $this->months(self::MONTHS);
        self::assertResponseRedirects($this->path('/place'));
        $this->post($this->path('/place/timing'), ['by' => 'heat-and-light']);
        self::assertNotNull($this->snapshot()->timing());
        $this->browser->request('GET', $this->path('/place'));
        self::assertStringContainsString('Estimated from monthly means', $this->text());
        self::assertSelectorTextContains('table', '5 May');
        self::assertSelectorExists('form[action$="/place/frost"]');
        $this->post($this->path('/place/timing'), ['by' => 'catalogue-days']);
        self::assertNull($this->snapshot()->timing());
        $this->post($this->path('/place/frost'), []);
        self::assertSame(['05-05', '10-08'], [$this->snapshot()->place->lastFrost->iso(), $this->snapshot()->place->firstFrost->iso()]);
        foreach ([5, 4, 3, 2] as $number) {
            $this->post($this->path('/log/'.$number.'/take-back'), []);
        }
        self::assertNull($this->snapshot()->timing());
        self::assertSame('05-14', $this->snapshot()->place->lastFrost->iso());
    }

    /** Where no frost comes, no frost days are told, nor offered to be taken. */
    public function testAPlaceWithoutFrostSaysSo(): void
    {
        $this->months(str_repeat("11\t", 11)."11\n".str_repeat("21\t", 11)."21\n".str_repeat("80\t", 11).'80');
        $this->browser->request('GET', $this->path('/place'));

        self::assertStringContainsString('In nine years of ten no frost comes here', $this->text());
        self::assertSelectorNotExists('form[action$="/place/frost"]');
    }

    /** @param array<string, string> $more */
    #[DataProvider('wrongMonths')]
    public function testWrongMonthsAreToldAndTheTypingStays(string $pasted, array $more, string $message): void
    {
        $before = $this->everything();
        $this->months($pasted, $more);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($message, $this->text());
        self::assertSelectorExists('textarea[aria-invalid]');
        self::assertSame($before, $this->everything());
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function wrongMonths(): iterable
    {
        yield 'nothing' => ['', [], 'January has no minimum'];
        yield 'eleven months' => [substr(self::MONTHS, 0, -3), [], 'December has no rain'];
        yield 'Fahrenheit taken for Celsius' => [str_replace("25\t24.5", "77\t76", self::MONTHS), [], 'Are these degrees Fahrenheit?'];
        yield 'upside down' => [str_replace("8\t11.2", "28\t11.2", self::MONTHS), [], 'the minimum, 28, is not below'];
        yield 'words' => ['cold winters, warm summers', [], 'January has no minimum'];
    }

    public function testADailyRecordIsTakenWithItsGapsAndBadLines(): void
    {
        $lines = ['date,tmin,tmax,rain'];
        for ($day = Day::parse('2024-01-01'); $day->year() < 2026; $day = $day->plus(1)) {
            if (7 !== $day->month() || 5 !== $day->dayOfMonth()) {
                $lines[] = $day->iso().','.(5 + $day->month()).','.(15 + $day->month()).',1.5';
            }
        }
        $lines[] = '2026-01-01,9,3,0';
        $this->record(implode("\n", $lines), ['temperature' => 'C', 'rain_in' => 'mm']);
        self::assertResponseRedirects($this->path('/place'));
        $this->browser->followRedirect();
        self::assertStringContainsString('729 days, 2 missing in between, 1 lines left out', $this->text());
        self::assertStringContainsString('Only 2 seasons stand behind it', $this->text());
        self::assertSame('2025-01-06', Day::of((int) array_key_first($this->snapshot()->climate->measured->min ?? []))->iso(),
            'its last days are readings');
        $this->browser->request('GET', $this->path('/file/garden.json'));
        self::assertStringContainsString('"2024-01-01"', (string) $this->browser->getResponse()->getContent());
    }

    #[DataProvider('wrongRecords')]
    public function testWhatIsNoRecordChangesNothing(string $bytes, string $message): void
    {
        $before = $this->everything();
        $this->record($bytes, []);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($message, $this->text());
        self::assertSame($before, $this->everything());
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrongRecords(): iterable
    {
        yield 'other columns' => ["name,colour\nkale,green", 'No column is the date'];
        yield 'a week only' => ["date,tmin_c,tmax_c\n2025-01-01,1,2\n2025-01-02,1,2", 'At least a whole year is needed'];
        yield 'text in a number column' => ["date,tmin_c,tmax_c\n2025-01-01,mild,warm", '1 of 1 lines cannot be read'];
        yield 'perhaps Fahrenheit' => ["date,tmin,tmax\n2025-01-01,39,55", 'degrees Celsius or Fahrenheit'];
        yield 'too many lines' => ["date,tmin_c,tmax_c\n".str_repeat("2025-01-01,1,2\n", 60_100), 'more than 60000 rows'];
    }

    public function testReadingsOfTheStationGiveWayToWhatIsTyped(): void
    {
        $this->months(self::MONTHS);
        $this->post($this->path('/station/read'), ['source' => 'station']);
        $days = $this->snapshot()->climate->measured->min ?? [];
        self::assertSame([400, '2026-03-01'], [\count($days), Day::of((int) array_key_last($days))->iso()]);
        $this->post($this->path('/station'), ['day' => '2026-02-20', 'min' => '-6.5', 'max' => '', 'rain' => '12']);
        self::assertResponseRedirects($this->path('/station'));
        $this->post($this->path('/station/read'), ['source' => 'station']);
        $day = Day::parse('2026-02-20')->number;
        self::assertSame([-6.5, 12.0], [$this->snapshot()->climate->measured->min[$day] ?? null,
            $this->snapshot()->climate->measured->rain[$day] ?? null]);
        foreach ([['day' => '2026-03-09', 'min' => '1'], ['day' => '2026-02-20', 'min' => '30'], ['day' => '2026-02-20',
            'min' => 'icy'], ['day' => 'yesterday', 'rain' => '2'], ['day' => '2026-02-20', 'rain' => '-4'],
            ['day' => '2026-02-20']] as $wrong) {
            $before = $this->everything();
            $this->post($this->path('/station'), $wrong);
            self::assertResponseStatusCodeSame(422);
            self::assertSame($before, $this->everything());
        }
    }

    /** A record of summers is refused by its months, or filled by a guess that is said to be one. */
    public function testARecordOfSummersIsFilledWhenAsked(): void
    {
        $lines = ['date,tmin C,tmax C,rain mm'];
        for ($day = Day::parse('2020-04-01'); $day->year() < 2024; $day = $day->plus(1)) {
            $lines = $day->month() > 3 && $day->month() < 11 ? [...$lines, $day->iso().',8.0,21.0,2.0'] : $lines;
        }
        $this->record(implode("\n", $lines), ['temperature' => 'C', 'rain_in' => 'mm']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('has days of January, February, March, November, December', $this->text());
        $this->record(implode("\n", $lines), ['temperature' => 'C', 'rain_in' => 'mm', 'fill' => 'far-inland']);
        self::assertResponseRedirects($this->path('/place'));
        $this->browser->followRedirect();
        self::assertStringContainsString('no day of <b>January, February, March, November, December</b>: these months are guessed',
            $this->text());
        self::assertStringContainsString('no whole season stands behind', $this->text());
    }

    /** A second station: a folder some program drops CSV files into. */
    public function testTheDropFolderIsReadLikeAStation(): void
    {
        $this->months(self::MONTHS);
        $folder = __DIR__.'/../../../var/test-data/weather/'.$this->garden;
        mkdir($folder, recursive: true);
        file_put_contents($folder.'/february.csv',
            "date;tmin °C;tmax °C;rain mm\n2026-02-27;-1,5;6;0\n2026-02-28;0;7;3,5\n2026-03-05;0;7;0\n");
        $this->browser->request('GET', $this->path('/station'));
        self::assertStringContainsString('Read the drop folder', $this->text());
        $this->post($this->path('/station/read'), ['source' => 'folder']);
        self::assertSame(['2026-02-27' => -1.5, '2026-02-28' => 0.0],
            array_combine(array_map(static fn (int $n): string => Day::of($n)->iso(), array_keys($this->snapshot()->climate->measured->min ?? [])), $this->snapshot()->climate->measured->min
            ?? []));
        (new \Symfony\Component\Filesystem\Filesystem())->remove($folder);
    }

    public function testASignSeenAndAStandCountedFromTheBed(): void
    {
        $this->post($this->path('/standing'), ['keep' => '1', 'column' => ['bed', 'crop', 'sown'], 'cell' => [['A1', 'radish', '10 Feb']]]);
        $planting = array_values(array_filter($this->snapshot()->plantings->all(), static fn ($p): bool => 'radish' === $p->item))[0];
        $id = $this->service(Snapshot::class)->plantingIds($this->garden)[$planting->key];
        $this->browser->request('GET', $this->path('/planting/'.$id.'/stand?count=40'));
        self::assertStringContainsString('31 % of the stand', $this->text());
        $this->post($this->path('/planting/'.$id.'/note'), ['what' => 'seen', 'sign' => 'fit', 'day' => '2026-03-02',
            'seen' => PlantingMark::of($planting)]);
        self::assertResponseRedirects($this->path('/bed/A1'));
        $now = array_values(array_filter($this->snapshot()->plantings->all(), static fn ($p): bool => 'radish' === $p->item))[0];
        self::assertSame('2026-03-02', $now->ready->iso());
        self::assertSame('fit', $this->snapshot()->notes[0]->sign?->value);
        $this->post($this->path('/log/3/take-back'), []);
        self::assertEquals($planting, array_values(array_filter($this->snapshot()->plantings->all(),
            static fn ($p): bool => 'radish' === $p->item))[0]);
    }

    /** @param array<string, string> $more */
    private function months(string $pasted, array $more = []): void
    {
        $this->post($this->path('/place/months'), ['pasted' => $pasted, 'temperature' => 'C', 'rain_in' => 'mm', ...$more]);
    }

    /** @param array<string, string> $fields */
    private function record(string $bytes, array $fields): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'record');
        file_put_contents($file, $bytes);
        $this->browser->request('POST', $this->path('/place/record'), ['_token' => $this->token(), ...$fields],
            ['file' => new UploadedFile($file, 'record.csv', test: true)]);
    }
}
