<?php

declare(strict_types=1);

namespace App\Soil;

use App\Codec\Node;
use App\Codec\SoilFile;
use App\Shared\Faults;
use App\Shared\Row;
use Doctrine\DBAL\Connection;
use JollyFurrow\Land\Valve;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\ShedProduct;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;

/** What is known of the soil, out of the database. */
final readonly class SoilRows
{
    public function __construct(private Connection $connection)
    {
    }

    public function of(string $gardenId): SoilBook
    {
        $beds = [];
        foreach ($this->rows('SELECT v.valve_id, b.name FROM valve_bed v JOIN bed b ON b.garden_id = v.garden_id AND b.id = v.bed_id '
            .'JOIN block k ON k.garden_id = b.garden_id AND k.id = b.block_id WHERE v.garden_id = ? ORDER BY k.position, b.position',
            $gardenId) as $row) {
            $beds[$row->text('valve_id')][] = $row->text('name');
        }
        $rules = $this->rows('SELECT data FROM feed_rules WHERE garden_id = ?', $gardenId)[0] ?? null;

        return new SoilBook(
            array_map(static fn (Row $r): SoilTest => SoilFile::test(self::node($r, ['key' => $r->text('key_name'),
                'day' => $r->day('day')->iso()]), $r->text('bed'), $r->text('block')),
                $this->rows("SELECT t.key_name, t.day, t.data, COALESCE(b.name, '') AS bed, COALESCE(k.name, '') AS block FROM soil_test t "
                    .'LEFT JOIN bed b ON b.garden_id = t.garden_id AND b.id = t.bed_id LEFT JOIN block k ON k.garden_id = t.garden_id '
                    .'AND k.id = t.block_id WHERE t.garden_id = ? ORDER BY t.day, t.id', $gardenId)),
            array_map(static fn (Row $r): ShedProduct => SoilFile::product(self::node($r, ['key' => $r->text('key_name'),
                'name' => $r->text('name')])), $this->rows('SELECT key_name, name, data FROM shed_product WHERE garden_id = ? ORDER BY id',
                    $gardenId)),
            array_map(static fn (Row $r): Spread => SoilFile::spread(self::node($r, ['key' => $r->text('key_name'),
                'day' => $r->day('day')->iso()]), $r->text('bed')),
                $this->rows('SELECT s.key_name, s.day, s.data, b.name AS bed FROM spread s '
                .'JOIN bed b ON b.garden_id = s.garden_id AND b.id = s.bed_id WHERE s.garden_id = ? ORDER BY s.day, s.id', $gardenId)),
            array_map(static fn (Row $r): Valve => SoilFile::valve(self::node($r, ['key' => $r->text('key_name'),
                'name' => $r->text('name')]),
                $beds[$r->text('id')] ?? []), $this->rows('SELECT id, key_name, name, data FROM valve WHERE garden_id = ? ORDER BY id',
                    $gardenId)),
            null === $rules ? new FeedRules() : SoilFile::rules(self::node($rules, [])));
    }

    /** @param array<string, string> $more columns of their own */
    private static function node(Row $row, array $more): Node
    {
        return new Node([...$row->json('data'), ...$more], '', new Faults());
    }

    /** @return list<Row> */
    private function rows(string $sql, string $gardenId): array
    {
        return array_map(static fn (array $row): Row => new Row($row), $this->connection->fetchAllAssociative($sql, [$gardenId]));
    }
}
