<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Readiness\ReadinessCard;
use JollyFurrow\Readiness\ReadinessTable;
use JollyFurrow\Storage\Curing;
use JollyFurrow\Storage\Ethylene;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\KeepTable;
use JollyFurrow\Storage\KeepTraits;
use JollyFurrow\Storage\StoreKind;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;

/** The table of keeping that ships, read without the application, and small stores. */
final class Stores
{
    private static ?KeepTable $table = null;
    private static int $handlings = 0;

    public static function keeping(): KeepTable
    {
        return self::$table ??= self::read();
    }

    public static function cold(?int $crates = 20): StorePlace
    {
        return new StorePlace('cold', 'Cold room', StoreKind::ColdRoom, 0.0, 96, $crates);
    }

    public static function dry(float $celsius = 13.0, int $humidity = 60): StorePlace
    {
        return new StorePlace('dry', 'Dry room', StoreKind::DryRoom, $celsius, $humidity, 20);
    }

    public static function lot(string $item, string $day, int $hundredths, string $place = 'cold', string $planting = '',
        Grade $grade = Grade::First, string $bed = 'A1', string $more = ''): HarvestLot
    {
        return new HarvestLot(HarvestLot::code(Day::parse($day), $bed, $item).$more, Day::parse($day), $item, $item, $planting, $bed,
            $grade,
            $hundredths, place: $place);
    }

    public static function handling(HarvestLot $lot, string $day, HandlingKind $kind, int $hundredths, string $from,
        string $to = ''): Handling
    {
        return new Handling('h'.++self::$handlings, $lot->key, Day::parse($day), $kind, $hundredths, $from, $to);
    }

    public static function readiness(): ReadinessTable
    {
        return new ReadinessTable(array_map(static fn (array $r): ReadinessCard => new ReadinessCard($r[0], explode(' ', $r[1]),
            HarvestUse::from($r[2]), (int) $r[3], (float) $r[4], $r[5], $r[6], $r[7], $r[8]), self::rows('readiness')));
    }

    private static function read(): KeepTable
    {
        $rows = [];
        foreach (self::rows('keeping') as [$key, $crops, $makes, $suffers, $cure, $good, $sprouts, $crate]) {
            $curing = 4 === sscanf($cure, '%d/%d/%d..%d', $celsius, $humidity, $least, $most)
                ? new Curing((float) $celsius, (int) $humidity, (int) $least, (int) $most) : null;
            $rows[] = new KeepTraits($key, explode(' ', $crops), Ethylene::from($makes), Ethylene::from($suffers), $curing, (int) $good,
                'yes' === $sprouts, (float) $crate);
        }

        return new KeepTable($rows);
    }

    /** @return list<list<string>> cells of a table that ships, without its headings */
    private static function rows(string $table): array
    {
        $file = fopen(__DIR__.'/../../../data/'.$table.'.csv', 'r');
        \assert(false !== $file);
        fgetcsv($file, null, ',', '"', '');
        $rows = [];
        while (\is_array($row = fgetcsv($file, null, ',', '"', ''))) {
            $rows[] = array_map(strval(...), $row);
        }
        fclose($file);

        return $rows;
    }
}
