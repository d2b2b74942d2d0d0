<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Book\BookReader;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Working\Source;

/** The crop book that ships, read without the application, and recipes of a known length. */
final class Book
{
    private static ?CropBook $book = null;

    public static function crops(): CropBook
    {
        return self::$book ??= (new BookReader())->read(self::rows());
    }

    /** The book with one value of one crop another. */
    public static function with(string $crop, string $value, string $is): CropBook
    {
        return (new BookReader())->read([...array_values(array_filter(self::rows(), static fn (array $r): bool => [$crop, $value]
            !== [$r['crop'], $r['value']])), ['crop' => $crop, 'value' => $value, 'is' => $is, 'source' => 'garden', 'note' => '']]);
    }

    /** @return list<string> */
    public static function soldKeys(): array
    {
        return array_map(static fn (Crop $crop): string => $crop->key, self::crops()->sold());
    }

    public static function recipes(): RecipeBook
    {
        $steps = static fn (int $lead): array => [new Step('Clear', $lead, 2.0, 'hoe', '', ''), new Step('Rake', 1, 4.0, 'rake', 'dry',
            '')];

        return RecipeBook::of([
            new Recipe('compost-mulch', 'Compost mulch', 'mulch', true, $steps(5), Source::practice()),
            new Recipe('tarp-shallow-till', 'Tarp', 'tarp', true, $steps(35), Source::practice()),
            new Recipe('broadfork-harrow', 'Broadfork', 'fork', true, $steps(10), Source::practice()),
            new Recipe('stale-seedbed', 'Stale seedbed', 'stale', true, $steps(18), Source::practice()),
        ]);
    }

    /** @return list<array{crop: string, value: string, is: string, source: string, note: string}> */
    public static function rows(): array
    {
        $file = fopen(__DIR__.'/../../../data/crops.csv', 'r');
        \assert(false !== $file);
        fgetcsv($file, null, ',', '"', '');
        $rows = [];
        while (\is_array($row = fgetcsv($file, null, ',', '"', ''))) {
            [$crop, $value, $is, $source, $note] = array_map(strval(...), $row);
            $rows[] = ['crop' => $crop, 'value' => $value, 'is' => $is, 'source' => $source, 'note' => $note];
        }
        fclose($file);

        return $rows;
    }
}
