<?php

declare(strict_types=1);

namespace App\Tests\Garden;

use App\Codec\UnusableFile;
use App\File\GardenReader;
use App\File\GardenWriter;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\GuessedClimate;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Climate\WeatherGenerator;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Left;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Time\Day;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;

final class GardenFileTest extends AppCase
{
    private const DEMO = __DIR__.'/../../../demo/garden.json';
    private const SCHEMA = __DIR__.'/../../../docs/garden-file.schema.json';

    public function testWritingIsReadingBackwards(): void
    {
        $json = (string) file_get_contents(self::DEMO);

        self::assertSame($json, $this->service(GardenWriter::class)->write($this->service(GardenReader::class)->read($json)));
    }

    public function testTheDemoGoesThroughTheDatabaseUnchanged(): void
    {
        $json = (string) file_get_contents(self::DEMO);
        $this->garden = $this->keep($json);

        self::assertSame($json, $this->exported());
    }

    public function testGardensByChanceWithTheirPlansGoThroughUnchanged(): void
    {
        foreach ([4, 9, 17, 23] as $seed) {
            $garden = RandomGarden::of($seed);
            $plantings = array_map(static fn (Planting $p, int $i): Planting => match ($i % 3) {
                0 => $p,
                1 => $p->but(standing: Standing::Growing, stand: 0.75),
                default => $p->but(standing: Standing::Growing, left: new Left(0.25, $p->ready)),
            }, $plan = $this->service(Planner::class)->draw($garden)->plantings(), array_keys($plan));
            $notes = array_map(static fn (Planting $p, int $i): FieldNote => new FieldNote($p->key, Happening::cases()[$i % 7],
                $p->ready, 0 === $i % 2 ? Length::fromMetres(2) : null, 0 === $i % 3 ? 0.5 : null, 0 === $i % 5 ? 12.0 : null,
                0 === $i % 4 ? 'größer als gedacht' : '', Happening::Seen === Happening::cases()[$i % 7] ? Sign::Halfway : null),
                $plantings, array_keys($plantings));
            $json = $this->service(GardenWriter::class)->write(new Garden($garden->name, $this->snapshot()->today, $garden->place,
                $garden->settings, $garden->blocks, $garden->beds, $garden->history, $garden->outlets, $garden->products,
                $garden->promises, $plantings, $notes, self::climate($seed)));
            self::assertTrue((new Validator())->validate(json_decode($json), (string) file_get_contents(self::SCHEMA))->isValid(),
                'the schema knows it');
            $this->garden = $this->keep($json);

            self::assertSame(self::sorted($json), self::sorted($this->exported()));
        }
    }

    /** Rules and weights by chance: known to the schema, the same out of the database. */
    public function testGardensWithRulesGoThroughUnchanged(): void
    {
        for ($seed = 1001; $seed <= 1006; ++$seed) {
            $json = $this->service(GardenWriter::class)->write(RandomGarden::ruled($seed));
            $result = (new Validator())->validate(json_decode($json), (string) file_get_contents(self::SCHEMA));
            self::assertTrue($result->isValid(), (string) json_encode($result->error()?->args()));
            $this->garden = $this->keep($json);

            self::assertEquals($this->service(GardenReader::class)->read($json)->settings, $this->snapshot()->settings);
        }
    }

    /** A file of an earlier version in feet and inches had its lengths rounded to millimetres; they are exact again, and stay so. */
    public function testLengthsInInchesGoThroughUnrounded(): void
    {
        $values = SmallGarden::values();
        \assert(\is_array($values['settings']) && \is_array($values['beds']) && \is_array($values['beds'][0]));
        $values['settings']['units'] = 'us';
        $values['beds'][0] = [...$values['beds'][0], 'length_mm' => 25_298, 'width_mm' => 1_219, 'path_mm' => 457];
        $json = static fn (int $version): string => json_encode([...$values, 'version' => $version], \JSON_THROW_ON_ERROR);
        $lengths = static fn (Bed $bed): array => [$bed->length->micrometres, $bed->width->micrometres, $bed->path->micrometres];
        $reader = $this->service(GardenReader::class);
        self::assertSame([25_298_000, 1_219_000, 457_000], $lengths($reader->read($json(3))->beds[0]));
        $garden = $reader->read($json(2));
        self::assertSame([83 * 304_800, 1_219_200, 457_200], $lengths($garden->beds[0]));

        $written = $this->service(GardenWriter::class)->write($garden);
        self::assertStringContainsString('"width_mm": 1219.2,', $written);
        self::assertEquals($garden->beds, $reader->read($written)->beds);
    }

    public function testTheSchemaDescribesTheDemoAndRefusesWhatTheReaderRefuses(): void
    {
        $validator = new Validator();
        $schema = (string) file_get_contents(self::SCHEMA);
        self::assertTrue($validator->validate(json_decode((string) file_get_contents(self::DEMO)), $schema)->isValid());
        self::assertTrue($validator->validate(json_decode(SmallGarden::json()), $schema)->isValid());
        foreach (['name' => 5, 'today' => 'soon', 'beds' => 'none', 'place' => null] as $field => $wrong) {
            $values = json_decode(json_encode([...SmallGarden::values(), $field => $wrong], \JSON_THROW_ON_ERROR));
            self::assertFalse($validator->validate($values, $schema)->isValid(), $field);
        }
    }

    /** @return iterable<string, array{string, mixed, string, string}> path, value, place of the fault, message */
    public static function faults(): iterable
    {
        yield 'another format' => ['format', 'something', 'format', 'jolly-furrow-garden'];
        yield 'a later version' => ['version', 7, 'version', 'whole number from 1 to 3'];
        yield 'no name' => ['name', '', 'name', 'must be a text'];
        yield 'a day there is not' => ['today', '2026-02-30', 'today', 'must be a date such as 2026-05-20'];
        yield 'text for a number' => ['place.latitude', 'north', 'place.latitude', 'number from -66 to 66'];
        yield 'a place at the pole' => ['place.latitude', 90, 'place.latitude', 'number from -66 to 66'];
        yield 'unknown units' => ['settings.units', 'ells', 'settings.units', 'one of metric, us'];
        yield 'no sowing day' => ['settings.sowing_days', [], 'settings.sowing_days', 'at least one day'];
        yield 'no such weekday' => ['settings.sowing_days', ['Tuseday'], 'settings.sowing_days', 'names of weekdays'];
        yield 'no such recipe' => ['settings.recipe', 'magic', 'settings.recipe', 'no preparation recipe'];
        yield 'rent of nothing' => ['settings.rent.field', 0, 'settings.rent.field', 'number from 0.01'];
        yield 'a bed in no block' => ['beds.0.block', 'Z', 'beds[0].block', 'not among the blocks'];
        yield 'two beds of one name' => ['beds.1.name', 'A1', 'beds[1].name', 'stands twice'];
        yield 'a bed of no length' => ['beds.0.length_mm', -5, 'beds[0].length_mm', 'number from 500'];
        yield 'no such place type' => ['beds.0.place', 'cellar', 'beds[0].place', 'one of field, tunnel, heated'];
        yield 'history of no bed' => ['history.0.bed', 'Q9', 'history[0].bed', 'not among the beds'];
        yield 'history beyond the bed' => ['history.0.to_mm', 26000, 'history[0].to_mm', 'within the bed'];
        yield 'a weekday beyond Sunday' => ['outlets.0.weekday', 8, 'outlets[0].weekday', 'one of 1, 2, 3, 4, 5, 6, 7'];
        yield 'two outlets of one key' => ['outlets.1.key', 'boxes', 'outlets[1].key', 'stands twice'];
        yield 'a product of nothing' => ['products.0.parts', [], 'products[0].parts', 'at least one item'];
        yield 'an item not in the book' => ['products.0.parts.0.item', 'moonfruit', 'products[0].parts[0].item', 'not in the crop book'];
        yield 'a promise to nobody' => ['promises.0.outlet', 'nobody', 'promises[0].outlet', 'not among the outlets'];
        yield 'less than nothing' => ['promises.0.quantity', -1, 'promises[0].quantity', 'number from 0'];
        yield 'promised twice' => ['promises.1.day', '2026-06-03', 'promises[1].day', 'already'];
        yield 'ready before it is sown' => ['plantings.0.ready', '2025-01-01', 'plantings[0].ready', 'in order'];
        yield 'a planting twice' => ['plantings', array_merge((array) SmallGarden::values()['plantings'],
            (array) SmallGarden::values()['plantings']), 'plantings[1].key', 'every planting needs a key of its own'];
        yield 'a planting in the wrong place' => ['plantings.0.pieces.0.bed', 'T1', 'plantings[0].pieces[0].bed', 'planting is for field'];
        yield 'eleven months' => ['climate', ['timed_by' => 'heat-and-light', 'months' => ['min_c' => array_fill(0, 11, 0.0),
            'max_c' => array_fill(0, 11, 9.0), 'rain_mm' => array_fill(0, 11, 50.0)], 'readings' => []], 'climate.months',
            'December has no values'];
        yield 'a record of a day' => ['climate', ['timed_by' => 'heat-and-light', 'record' => [['2025-01-01', 1, 5, null]],
            'readings' => []], 'climate.record', 'At least a whole year'];
        yield 'a reading upside down' => ['climate', ['timed_by' => 'heat-and-light', 'record' => [],
            'readings' => [['2025-01-01', 9, 5, null]]], 'climate.readings[0]', 'must be a day, a minimum and a maximum'];
        yield 'timed by the moon' => ['climate', ['timed_by' => 'moon', 'record' => [], 'readings' => []], 'climate.timed_by',
            'must be heat-and-light or catalogue-days'];
        yield 'a list that is none' => ['beds', 'many', 'beds', 'must be a list'];
    }

    #[DataProvider('faults')]
    public function testAFaultNamesThePlaceAndWhatWouldBeRight(string $path, mixed $value, string $place, string $message): void
    {
        try {
            $this->service(GardenReader::class)->read(json_encode(self::with(SmallGarden::values(), explode('.', $path), $value),
                \JSON_THROW_ON_ERROR));
            self::fail('The file was taken.');
        } catch (UnusableFile $bad) {
            $found = array_filter($bad->faults, static fn (array $f): bool => $f['path'] === $place && str_contains($f['message'],
                $message));
            self::assertNotSame([], $found, print_r($bad->faults, true));
        }
    }

    public function testTwoPlantingsOnOneStretchAreRefused(): void
    {
        $values = SmallGarden::values();
        self::assertIsArray($values['plantings']);
        self::assertIsArray($values['plantings'][0]);
        $values['plantings'][] = [...$values['plantings'][0], 'key' => 'leek@2025-04-22#2'];

        $this->expectException(UnusableFile::class);
        $this->expectExceptionMessage('lies on bed A3 where leek@2025-04-22#1 stands at the same time');
        $this->service(GardenReader::class)->read(json_encode($values, \JSON_THROW_ON_ERROR));
    }

    /** Promises of one day may come in another order; everything else stays where it was. */
    /** None, monthly means, two years of made-up days, or their summers and a guess; with readings, by either timing. */
    private static function climate(int $seed): ?PlaceClimate
    {
        $days = (new WeatherGenerator(Larkspur::climate(), $seed))->days(Day::parse('2024-01-01'), Day::parse('2025-12-31'));

        $summers = DailyRecord::fromRows(array_filter($days->rows(), static fn (array $row): bool => Day::of($row[0])->month() > 2));

        return match (23 === $seed ? 3 : $seed % 3) {
            0 => null,
            3 => PlaceClimate::fromRecord($summers, Larkspur::NORTH, fill: GuessedClimate::of(Larkspur::NORTH, 310, Nearness::Between)),
            1 => PlaceClimate::fromMonths(Larkspur::months(), Larkspur::NORTH, 0 === $seed % 2,
                $days->since(Day::parse('2025-11-01')->number)),
            default => PlaceClimate::fromRecord($days, Larkspur::NORTH, 0 === $seed % 2,
                $days->since(Day::parse('2025-12-01')->number)->later(40)),
        };
    }

    private static function sorted(string $json): mixed
    {
        $values = json_decode($json, true);
        self::assertIsArray($values);
        self::assertIsArray($values['promises']);
        sort($values['promises']);

        return $values;
    }

    /**
     * @param array<mixed> $values
     * @param list<string> $path
     *
     * @return array<mixed>
     */
    private static function with(array $values, array $path, mixed $value): array
    {
        $field = $path[0] ?? '';
        $inner = $values[$field] ?? [];
        $values[$field] = 1 === \count($path) ? $value : self::with(\is_array($inner) ? $inner : [], \array_slice($path, 1), $value);

        return $values;
    }
}
