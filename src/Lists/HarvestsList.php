<?php

declare(strict_types=1);

namespace App\Lists;

use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Units;
use JollyFurrow\Paste\CropNames;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Time\Day;

/**
 * What was brought in, row by row; a row without a code makes a lot. It goes to the planting of that crop that stood on the bed
 * on that day, where there is one. A lot that is there is changed on its own page.
 *
 * @extends GardenList<HarvestLot>
 */
final readonly class HarvestsList extends GardenList
{
    private const MOST_GRAMS = 100_000_000.0;
    private const MOST_UNITS = 1_000_000;
    private const MOST_HOURS = 160.0;
    /** Days before it should have been ready that a harvest still is of it. */
    private const EARLY = 21;

    public function __construct(Sayer $sayer, private CropBook $book)
    {
        parent::__construct($sayer);
    }

    public function heads(): array
    {
        return ['day' => ['Day', 'date', 'harvested'], 'crop' => ['Crop', 'vegetable'], 'bed' => ['Bed', 'plot'],
            'amount' => ['Amount', 'quantity', 'how much', 'lifted'], 'use' => ['As'], 'grade' => ['Grade', 'quality'],
            'hours' => ['Hours'], 'words' => ['Note'], 'key' => ['Lot']];
    }

    protected function needs(): array
    {
        return ['day', 'crop', 'amount'];
    }

    public function rows(Garden $garden): array
    {
        $rows = [];
        foreach ($garden->store->harvests as $lot) {
            $crop = $this->book->grown($lot->item, $lot->variety);
            $rows[$lot->key] = ['day' => $lot->day->iso(), 'crop' => $crop->name, 'bed' => $lot->bed,
                'amount' => $crop->produce->isByWeight() ? $this->sayer->goods($crop->produce->goods($lot->units()))
                    : Units::number($lot->units(), 2), 'use' => $lot->use->value, 'grade' => $lot->grade->value,
                'hours' => null === $lot->minutes ? '' : Units::number($lot->minutes / 60, 2), 'words' => $lot->words, 'key' => $lot->key];
        }

        return $rows;
    }

    protected function key(Garden $garden, array $cells): string
    {
        return $cells['key'] ?? '';
    }

    protected function item(Garden $garden, Entry $entry, string $key): ?HarvestLot
    {
        if ('' !== $key || '' !== $entry->raw('key')) {
            $entry->fault('key', '' !== $key ? 'A lot that is there is not changed from a list. Open it to change it.'
                : 'There is no lot of this code. Leave it empty for a new one.');

            return null;
        }
        $crop = $this->crop($entry);
        $day = $entry->day('day');
        $bed = $entry->raw('bed');
        if ($entry->isGood() && $garden->today->isBefore($day)) {
            $entry->fault('day', 'That day is still to come.');
        }
        if ('' !== $bed && !isset($garden->bedsByName()[$bed])) {
            $entry->fault('bed', 'There is no bed of that name.');
        }
        $amount = null === $crop ? 0 : $this->amount($garden, $entry, $crop);
        $grade = '' === $entry->raw('grade') ? Grade::First : $entry->choice('grade', Grade::class);
        $use = '' === $entry->raw('use') ? HarvestUse::Usual : $entry->choice('use', HarvestUse::class);
        $hours = '' === $entry->raw('hours') ? null : $entry->float('hours', 0, self::MOST_HOURS);
        $words = $entry->text('words', 400);
        if (null === $crop || !$entry->isGood()) {
            return null;
        }
        $planting = self::stood($garden, $crop, $bed, $day);

        return $garden->store->coded([new HarvestLot('', $day, $crop->item(), $planting->variety ?? $crop->key, $planting->key ?? '', $bed,
            $grade, $amount, null === $hours ? null : (int) round(60 * $hours), words: $words, use: $use)])[0];
    }

    protected function then(Garden $garden, object $item): Garden
    {
        return $garden->storing($garden->store->with([$item]));
    }

    /** Hundredths of a unit. */
    private function amount(Garden $garden, Entry $entry, Crop $crop): int
    {
        return $crop->produce->isByWeight() ? (int) round($entry->mass('amount', $garden->settings->units, self::MOST_GRAMS)->grams)
            : (int) round(100 * $entry->float('amount', 0, self::MOST_UNITS));
    }

    private function crop(Entry $entry): ?Crop
    {
        $meant = (new CropNames($this->book))->meant($entry->raw('crop'));
        if (1 !== \count($meant)) {
            $entry->fault('crop', [] === $meant ? 'There is no crop of that name in the book.'
                : 'More than one crop goes by that name: write it as the crop book does.');

            return null;
        }

        return $this->book->get($meant[0]);
    }

    private static function stood(Garden $garden, Crop $crop, string $bed, Day $day): ?Planting
    {
        foreach ($garden->plantings as $planting) {
            if ($planting->item === $crop->item() && !$day->isBefore($planting->ready->plus(-self::EARLY))
                && !$planting->clear->plus(self::EARLY)->isBefore($day)) {
                foreach ($planting->pieces as $piece) {
                    if ($piece->bed === $bed) {
                        return $planting;
                    }
                }
            }
        }

        return null;
    }
}
