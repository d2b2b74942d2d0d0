<?php

declare(strict_types=1);

namespace App\Station;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\RecordReader;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Paste\TooMuch;
use JollyFurrow\Time\Day;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** A folder a real station's program drops CSV files into: weather/GARDEN-ID below the data folder. */
final readonly class DropFolder implements WeatherSource
{
    private const MOST_FILES = 50;

    public function __construct(#[Autowire('%env(data_folder:JOLLY_FURROW_DATA)%')] private string $folder)
    {
    }

    public function name(): string
    {
        return 'folder';
    }

    public function words(): string
    {
        return 'the drop folder';
    }

    public function isThere(string $gardenId): bool
    {
        return [] !== $this->files($gardenId);
    }

    public function days(string $gardenId, PlaceClimate $climate, Day $from, Day $until): DailyRecord
    {
        $all = new DailyRecord([], [], []);
        foreach ($this->files($gardenId) as $file) {
            $record = self::record($file);
            $all = null === $record ? $all : $all->with($record);
        }

        return DailyRecord::fromRows(array_filter($all->rows(), static fn (array $row): bool => $row[0] >= $from->number
            && $row[0] <= $until->number));
    }

    public function outlook(string $gardenId, PlaceClimate $climate, Day $from): DailyRecord
    {
        return new DailyRecord([], [], []);
    }

    /** Null: it is no record, or larger than one can be. */
    private static function record(string $file): ?DailyRecord
    {
        $bytes = (string) file_get_contents($file, length: Limits::RECORD_BYTES + 1);
        try {
            return \strlen($bytes) > Limits::RECORD_BYTES ? null : (new RecordReader())->read(Cells::rows(Cells::decode($bytes),
                Limits::RECORD_ROWS, Limits::RECORD_COLUMNS));
        } catch (TooMuch) {
            return null;
        }
    }

    /** @return list<string> */
    private function files(string $gardenId): array
    {
        return \array_slice(glob($this->folder.'/weather/'.basename($gardenId).'/*.csv') ?: [], 0, self::MOST_FILES);
    }
}
