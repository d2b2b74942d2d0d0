<?php

declare(strict_types=1);

namespace App\Store;

use App\Books\GardenRecipes;
use App\Books\OwnValues;
use App\Books\StoreTables;
use App\Codec\MapFile;
use App\Codec\Node;
use App\Codec\PlanRulesFile;
use App\Codec\PlantingCodec;
use App\Codec\TemperFile;
use App\Diary\DiaryRows;
use App\Sale\MarketRows;
use App\Shared\Faults;
use App\Shared\Row;
use App\Shared\Today;
use App\Soil\SoilRows;
use App\Storage\StoreRows;
use Doctrine\DBAL\Connection;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Garden\DateForm;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Practice;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Maturity\TimingMemory;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Units;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\MarketDays;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Storage\KeepTable;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;

/** A whole garden out of the database, in a fixed number of queries whatever its size. */
final readonly class Snapshot
{
    /** Readings older than this no longer bear on what stands. */
    private const READINGS_BACK = 500;

    public function __construct(private Connection $connection, private Today $today, private ?TimingMemory $memory = null,
        private ?StoreTables $stores = null)
    {
    }

    /** @param bool $whole with the record the climate was made of, and all readings: for a file */
    public function of(string $gardenId, bool $whole = false): Garden
    {
        $garden = $this->rows('SELECT g.*, p.day AS practice_day, p.seed FROM garden g '
            .'LEFT JOIN practice p ON p.garden_id = g.garden_id WHERE g.garden_id = ?', $gardenId)[0]
            ?? throw new \OutOfBoundsException('There is no such garden.');
        $blocks = array_map(static fn (Row $r): string => $r->text('name'),
            $this->rows('SELECT name FROM block WHERE garden_id = ? ORDER BY position, name', $gardenId));
        $place = new Place($garden->text('place_name'), $garden->float('latitude'), $garden->int('altitude'),
            MonthDay::parse($garden->text('last_frost')), MonthDay::parse($garden->text('first_frost')));

        $today = null === $garden->optionalInt('practice_day') ? $this->today->day($garden->text('time_zone'))
            : $garden->day('practice_day');
        $practice = null === $garden->optionalInt('seed') ? null : Practice::seeded($garden->int('seed'));

        $store = new StoreRows($this->connection);
        $outlets = $this->outlets($gardenId);
        $products = $this->products($gardenId);

        return new Garden($garden->text('name'), $today, $place, self::settings($garden), $blocks, $this->beds($gardenId),
            $this->history($gardenId), $outlets, $products, $this->promises($gardenId),
            $this->plantings($gardenId), $this->notes($gardenId), $this->climate($gardenId, $today, $whole), $this->protections($gardenId),
            OwnValues::of($this->connection, $gardenId), GardenRecipes::own($this->connection, $gardenId), $practice,
            (new DiaryRows($this->connection))->of($gardenId, $today, $whole),
            (new SoilRows($this->connection))->of($gardenId), $store->of($gardenId, $today, $whole)->keptBy($this->stores?->keeping()
                ?? new KeepTable([])), $store->sprays($gardenId), (new MarketRows($this->connection))->of($gardenId, $today,
                    $outlets, $products, $whole));
    }

    /** The same with all market days there were, to learn from. */
    public function remembering(string $gardenId, Garden $garden): Garden
    {
        return $garden->selling((new MarketRows($this->connection))->of($gardenId, $garden->today, $garden->outlets, $garden->products,
            true));
    }

    /** The planting of that id as the garden has it; null: there is none. */
    public function planting(string $gardenId, string $id, Garden $garden): ?Planting
    {
        $key = array_search($id, $this->plantingIds($gardenId), true);

        return false === $key ? null : $garden->plantings->get($key);
    }

    /** @return array<string, string> planting key => id */
    public function plantingIds(string $gardenId): array
    {
        $ids = [];
        foreach ($this->rows('SELECT id, key_name FROM planting WHERE garden_id = ?', $gardenId) as $row) {
            $ids[$row->text('key_name')] = $row->text('id');
        }

        return $ids;
    }

    private function climate(string $gardenId, Day $today, bool $whole): ?PlaceClimate
    {
        $row = $this->rows('SELECT timed, months, normals, frost'.($whole ? ', record'
            : ', NULL AS record').' FROM climate WHERE garden_id = ?', $gardenId)[0] ?? null;
        $since = $whole ? 0 : $today->number - self::READINGS_BACK;
        $days = array_map(static fn (Row $r): array => [$r->int('day'), $r->float('min'), $r->float('max'), $r->optionalFloat('rain')],
            $this->rows('SELECT day, min, max, rain FROM reading WHERE garden_id = ? AND day >= '.$since.' ORDER BY day', $gardenId));
        if (null === $row) {
            return null;
        }
        /** @var array{min: list<float>, max: list<float>, rain: list<float>, guess?: string, fills?: string}|array{} $months */
        $months = $row->optionalJson('months');
        /** @var array{min: list<float>, max: list<float>, minSd: list<float>, maxSd: list<float>, rain: list<float>,
         * years: int} $normals */
        $normals = $row->json('normals');
        /** @var array{dates: array<string, array<string, array<string, float|null>>>, years: int} $frost */
        $frost = $row->json('frost');
        /** @var list<array{int, float, float, float|null}> $record */
        $record = $row->optionalJson('record');

        $means = [] === $months ? null : MonthlyMeans::of($months['min'], $months['max'], [] === $months['rain'] ? null : $months['rain'],
            Nearness::tryFrom($months['guess'] ?? ''));
        $fills = isset($months['fills']);

        return new PlaceClimate(Climate::fromValues($normals), $fills ? null : $means, [] === $record ? null
            : DailyRecord::fromRows($record), new FrostDates($frost['dates'], $frost['years']), DailyRecord::fromRows($days),
            1 === $row->int('timed'), $this->memory, $fills ? $means : null);
    }

    private static function settings(Row $row): Settings
    {
        $days = array_map(static fn (mixed $day): Weekday => Weekday::from(is_numeric($day) ? (int) $day : 1),
            array_values($row->json('sowing_days')));
        $rent = $row->numbers('rent');
        $rotation = array_map(intval(...), $row->numbers('rotation'));

        return new Settings(Units::from($row->text('units')), $row->text('currency'), [] === $days ? [Weekday::Monday] : $days,
            $row->text('recipe'), $rent, $row->float('shortage_factor'), $row->float('keeping_share'), $row->int('wage'), $rotation,
            Length::fromMicrometres($row->int('compost_depth')), $row->float('nitrogen_rate'), $row->float('fertiliser_nitrogen'),
            array_map(intval(...), $row->numbers('kit')), PlanRulesFile::read(new Node($row->json('plan_rules'), 'plan_rules',
                new Faults())), '' === $row->text('date_form') ? null : DateForm::from($row->text('date_form')), $row->text('time_zone'),
            MapFile::read(new Node($row->json('ground_map'), 'map', new Faults())));
    }

    /** @return list<Bed> */
    private function beds(string $gardenId): array
    {
        return array_map(static fn (Row $r, int $i): Bed => new Bed($r->text('name'), $r->text('block'), $i,
            Length::fromMicrometres($r->int('length')), Length::fromMicrometres($r->int('width')),
            Length::fromMicrometres($r->int('path')), PlaceType::from($r->text('place')),
            TemperFile::readTemper(new Node($r->json('temper'), 'temper', new Faults())),
            TemperFile::readQuarantine(array_map(static fn (mixed $q): Node => new Node(\is_array($q) ? $q : [], 'quarantine',
                new Faults()), array_values($r->json('quarantine')))), null === $r->optionalInt('retired') ? null : $r->day('retired')),
            $rows = $this->rows('SELECT b.*, k.name AS block FROM bed b JOIN block k ON k.garden_id = b.garden_id AND k.id = b.block_id WHERE b.garden_id = ? ORDER BY k.position, b.position, b.name', $gardenId), array_keys($rows));
    }

    /** @return list<PastCrop> */
    private function history(string $gardenId): array
    {
        return array_map(static fn (Row $r): PastCrop => new PastCrop(self::stretch($r), $r->text('crop'), $r->day('cleared')),
            $this->rows('SELECT h.*, b.name AS bed FROM past_crop h JOIN bed b ON b.garden_id = h.garden_id AND b.id = h.bed_id WHERE h.garden_id = ? ORDER BY h.id', $gardenId));
    }

    /** @return list<Outlet> */
    private function outlets(string $gardenId): array
    {
        return array_map(static fn (Row $r): Outlet => new Outlet($r->text('key_name'), $r->text('name'),
            self::marketDays($r), $r->int('priority'), $r->int('pick_window_days'), $r->optionalInt('pick_to_sale_days')),
            $this->rows('SELECT * FROM outlet WHERE garden_id = ? ORDER BY position, key_name', $gardenId));
    }

    private static function marketDays(Row $row): MarketDays
    {
        $weekdays = array_map(static fn (float $day): Weekday => Weekday::from((int) $day), array_values($row->numbers('weekdays')));
        $day = static fn (mixed $n): Day => Day::of(is_numeric($n) ? (int) $n : 0);
        $closed = array_map(static fn (mixed $days): Period => Period::fromFirstToLast($day($days[0] ?? null), $day($days[1] ?? null)),
            array_values(array_filter($row->json('closed'), is_array(...))));

        return MarketDays::every(Weekday::from($row->int('weekday')), ...$weekdays)->butNot($closed);
    }

    /** @return list<Product> */
    private function products(string $gardenId): array
    {
        $parts = [];
        foreach ($this->rows('SELECT * FROM product_part WHERE garden_id = ? ORDER BY position, id', $gardenId) as $row) {
            $parts[$row->text('product_id')][] = new Part($row->text('item'), $row->float('units'));
        }
        $products = [];
        foreach ($this->rows('SELECT * FROM product WHERE garden_id = ? ORDER BY position, key_name', $gardenId) as $row) {
            if (isset($parts[$row->text('id')])) {
                $products[] = new Product($row->text('key_name'), $row->text('name'), $row->text('unit'),
                    Money::fromCents($row->int('price_cents')), $parts[$row->text('id')]);
            }
        }

        return $products;
    }

    /** @return list<Promise> */
    private function promises(string $gardenId): array
    {
        $days = [];
        $promises = [];
        foreach ($this->rows('SELECT p.day, p.quantity, o.key_name AS outlet, q.key_name AS product FROM promise p JOIN outlet o ON o.garden_id = p.garden_id AND o.id = p.outlet_id JOIN product q ON q.garden_id = p.garden_id AND q.id = p.product_id WHERE p.garden_id = ? ORDER BY p.day, o.key_name, q.key_name', $gardenId) as $row) {
            $day = $row->int('day');
            $promises[] = new Promise($row->text('outlet'), $row->text('product'), $days[$day] ??= Day::of($day), $row->float('quantity'));
        }

        return $promises;
    }

    /** @return list<Planting> */
    private function plantings(string $gardenId): array
    {
        $pieces = [];
        foreach ($this->rows('SELECT p.*, b.name AS bed FROM piece p JOIN bed b ON b.garden_id = p.garden_id AND b.id = p.bed_id WHERE p.garden_id = ? ORDER BY p.position, p.id', $gardenId) as $row) {
            $pieces[$row->text('planting_id')][] = self::stretch($row);
        }

        return array_map(static fn (Row $r): Planting => PlantingCodec::fromRow($r, $pieces[$r->text('id')] ?? []),
            $this->rows('SELECT * FROM planting WHERE garden_id = ? ORDER BY id', $gardenId));
    }

    /** @return list<FieldNote> */
    private function notes(string $gardenId): array
    {
        return array_map(static fn (Row $r): FieldNote => new FieldNote($r->text('planting'), Happening::from($r->text('what')),
            $r->day('day'), null === $r->optionalInt('length_um') ? null : Length::fromMicrometres($r->int('length_um')),
            $r->optionalFloat('share'), $r->optionalFloat('units'), $r->text('words'), Sign::tryFrom($r->text('sign'))),
            $this->rows('SELECT n.*, p.key_name AS planting FROM field_note n JOIN planting p ON p.garden_id = n.garden_id AND p.id = n.planting_id WHERE n.garden_id = ? ORDER BY n.id', $gardenId));
    }

    /** @return list<Protection> */
    private function protections(string $gardenId): array
    {
        return array_map(static function (Row $r): Protection {
            $days = Period::fromFirstToLast($r->day('from_day'), $r->day('to_day'));
            $cover = Cover::from($r->text('cover'));
            $purpose = Purpose::from($r->text('purpose'));

            return '' !== $r->text('planting') ? Protection::overPlanting($r->text('planting'), $cover, $purpose, $days)
                : Protection::overBed($r->text('bed'), $cover, $purpose, $days);
        }, $this->rows("SELECT c.*, COALESCE(b.name, '') AS bed FROM protection c LEFT JOIN bed b ON b.garden_id = c.garden_id AND b.id = c.bed_id WHERE c.garden_id = ? ORDER BY c.from_day, c.id", $gardenId));
    }

    private static function stretch(Row $row): Stretch
    {
        return Stretch::of($row->text('bed'), $row->int('from_um'), $row->int('to_um'), $row->float('width_share'));
    }

    /** @return list<Row> */
    private function rows(string $sql, string $gardenId): array
    {
        return array_map(static fn (array $row): Row => new Row($row), $this->connection->fetchAllAssociative($sql, [$gardenId]));
    }
}
