<?php

declare(strict_types=1);

namespace App\Storage;

use App\Codec\Node;
use App\Codec\StoreFile;
use App\Shared\Faults;
use App\Shared\Row;
use Doctrine\DBAL\Connection;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\Spray;
use JollyFurrow\Treatment\SprayBook;

/** What lies where, out of the database. */
final readonly class StoreRows
{
    /** Lots and loggers are looked back on so far; a file has them all. */
    private const DAYS_BACK = 500;

    public function __construct(private Connection $connection)
    {
    }

    public function of(string $gardenId, Day $today, bool $whole = false): StoreBook
    {
        $since = $whole ? -1_000_000 : $today->plus(-self::DAYS_BACK)->number;

        return new StoreBook(
            array_map(static fn (Row $r): StorePlace => StoreFile::place(self::node($r, ['key' => $r->text('key_name'),
                'name' => $r->text('name')])), $this->rows('SELECT key_name, name, data FROM store_place WHERE garden_id = ? ORDER BY id',
                    [$gardenId])),
            array_map(static fn (Row $r): HarvestLot => StoreFile::lot(self::node($r, ['key' => $r->text('key_name'),
                'day' => $r->day('day')->iso(), 'planting' => $r->text('planting_key')]), $r->text('bed')),
                $this->rows("SELECT h.key_name, h.day, h.planting_key, h.data, COALESCE(b.name, '') AS bed FROM harvest_lot h "
                    .'LEFT JOIN bed b ON b.garden_id = h.garden_id AND b.id = h.bed_id WHERE h.garden_id = ? AND h.day >= ? '
                    .'ORDER BY h.day, h.id', [$gardenId, $since])),
            array_map(static fn (Row $r): Handling => StoreFile::handling(self::node($r, ['key' => $r->text('key_name'),
                'day' => $r->day('day')->iso()]), $r->text('lot')),
                $this->rows('SELECT d.key_name, d.day, d.data, h.key_name AS lot FROM handling d '
                    .'JOIN harvest_lot h ON h.garden_id = d.garden_id AND h.id = d.lot_id WHERE d.garden_id = ? AND h.day >= ? '
                    .'ORDER BY d.day, d.id', [$gardenId, $since])),
            array_map(static fn (Row $r): PlaceDay => StoreFile::day(self::node($r, ['day' => $r->day('day')->iso()]), $r->text('place')),
                $this->rows('SELECT d.day, d.data, p.key_name AS place FROM place_day d '
                    .'JOIN store_place p ON p.garden_id = d.garden_id AND p.id = d.place_id WHERE d.garden_id = ? AND d.day >= ? '
                    .'ORDER BY d.day, d.id', [$gardenId, $since])));
    }

    public function sprays(string $gardenId): SprayBook
    {
        $beds = [];
        foreach ($this->rows('SELECT s.spray_id, b.name FROM spray_bed s JOIN bed b ON b.garden_id = s.garden_id AND b.id = s.bed_id '
            .'JOIN block k ON k.garden_id = b.garden_id AND k.id = b.block_id WHERE s.garden_id = ? ORDER BY k.position, b.position',
            [$gardenId]) as $row) {
            $beds[$row->text('spray_id')][] = $row->text('name');
        }
        // A treatment without beds keeps nothing off.
        $rows = [] === $beds ? [] : $this->rows('SELECT id, key_name, day, data FROM spray WHERE garden_id = ? ORDER BY day, id',
            [$gardenId]);

        return new SprayBook(array_map(static fn (Row $r): Spray => StoreFile::spray(self::node($r, ['key' => $r->text('key_name'),
            'day' => $r->day('day')->iso(), 'reentry_days' => 0]), $beds[$r->text('id')] ?? []), $rows));
    }

    /** @param array<string, mixed> $more columns of their own */
    private static function node(Row $row, array $more): Node
    {
        return new Node([...$more, ...$row->json('data')], '', new Faults());
    }

    /**
     * @param list<string|int> $values
     *
     * @return list<Row>
     */
    private function rows(string $sql, array $values): array
    {
        return array_map(static fn (array $row): Row => new Row($row), $this->connection->fetchAllAssociative($sql, $values));
    }
}
