<?php

declare(strict_types=1);

namespace App\Lists;

use App\Garden\BedChange;
use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedName;
use JollyFurrow\Land\Temper;
use JollyFurrow\Shelter\PlaceType;

/** @extends GardenList<Bed> */
final readonly class BedsList extends GardenList
{
    public function __construct(Sayer $sayer, private CropBook $book)
    {
        parent::__construct($sayer);
    }

    public function heads(): array
    {
        return ['bed' => ['Bed', 'beds', 'name'], 'block' => ['Block', 'plot', 'section'], 'length' => ['Length', 'long'],
            'width' => ['Width', 'wide'], 'path' => ['Path', 'paths', 'aisle'], 'place' => ['Place', 'under', 'cover']];
    }

    protected function needs(): array
    {
        return ['bed'];
    }

    public function rows(Garden $garden): array
    {
        $units = $garden->settings->units;
        $rows = [];
        foreach ($garden->beds as $bed) {
            $rows[$bed->name] = ['bed' => $bed->name, 'block' => $bed->block, 'length' => $units->long($bed->length),
                'width' => $units->short($bed->width), 'path' => $units->short($bed->path), 'place' => $this->sayer->word($bed->place)];
        }

        return $rows;
    }

    protected function key(Garden $garden, array $cells): string
    {
        return $cells['bed'];
    }

    protected function item(Garden $garden, Entry $entry, string $key): ?Bed
    {
        $units = $garden->settings->units;
        $was = $garden->bedsByName()[$key] ?? null;
        $bad = BedName::fault($entry->text('bed', Limits::BED_NAME));
        if (null !== $bad) {
            $entry->fault('bed', $bad);
        }
        $block = $entry->text('block', Limits::BLOCK_NAME);
        $length = $entry->length('length', $units->longUnit(), 0.5, 500);
        $width = $entry->length('width', $units->shortUnit(), 0.1, 10);
        $path = $entry->length('path', $units->shortUnit(), 0, 10);
        $place = $this->place($entry);
        if (null !== $was && $entry->isGood()) {
            $change = new BedChange($garden, $this->book, $was, $this->sayer);
            $beyond = $change->beyond($length);
            $notFor = $change->notFor($place);
            null === $beyond ?: $entry->fault('length', \sprintf('%s, stands beyond that.', $beyond));
            null === $notFor ?: $entry->fault('place', \sprintf('%s, is for the %s.', $notFor, $this->sayer->word($was->place)));
        }

        return $entry->isGood() ? new Bed($entry->raw('bed'), $block, $was->position ?? \count($garden->beds) + (int) $entry->raw('line'),
            $length, $width, $path, $place, $was->temper ?? new Temper(), $was->quarantine ?? [], $was?->retired) : null;
    }

    /** By its word, as it is written here. */
    private function place(Entry $entry): PlaceType
    {
        foreach (PlaceType::cases() as $place) {
            if (\in_array(mb_strtolower($entry->raw('place', 'open field')), [$place->value, $this->sayer->word($place)], true)) {
                return $place;
            }
        }
        $entry->fault('place', 'Write open field, unheated tunnel or heated.');

        return PlaceType::Field;
    }
}
