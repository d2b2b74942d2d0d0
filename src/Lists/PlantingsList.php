<?php

declare(strict_types=1);

namespace App\Lists;

use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Paste\StandingReader;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;

/**
 * What stands and is planned. A row without a key is entered like a row of a pasted list; of one that is there the sowing
 * day moves while it is only planned, and the lock; what else is changed is told, and done on its own page.
 *
 * @extends GardenList<Planting>
 */
final readonly class PlantingsList extends GardenList
{
    private const MAY_CHANGE = ['sown', 'locked'];

    public function __construct(Sayer $sayer, private CropBook $book, private RecipeBook $recipes)
    {
        parent::__construct($sayer);
    }

    public function heads(): array
    {
        return ['bed' => ['Bed', 'beds', 'plot'], 'crop' => ['Crop', 'vegetable', 'plant'], 'sown' => ['Sown', 'sowing', 'sowing date'],
            'planted' => ['Planted out', 'planted', 'transplanted'], 'length' => ['Length'], 'ready' => ['Ready'], 'clear' => ['Cleared'],
            'standing' => ['Standing'], 'locked' => ['Locked'], 'key' => ['Key']];
    }

    protected function needs(): array
    {
        return ['bed', 'crop'];
    }

    public function rows(Garden $garden): array
    {
        $rows = [];
        foreach ($garden->plantings as $planting) {
            $beds = array_values(array_unique(array_map(static fn (Stretch $s): string => $s->bed, $planting->pieces)));
            $rows[$planting->key] = ['bed' => implode(' + ', $beds), 'crop' => $this->book->grown($planting->item,
                $planting->variety)->name,
                'sown' => $planting->sow->iso(), 'planted' => Method::Transplanted === $planting->method ? $planting->ground->iso() : '',
                'length' => $garden->settings->units->long($planting->length()), 'ready' => $planting->ready->iso(),
                'clear' => $planting->clear->iso(), 'standing' => $this->sayer->word($planting->standing),
                'locked' => $planting->locked ? 'yes' : 'no', 'key' => $planting->key];
        }

        return $rows;
    }

    protected function key(Garden $garden, array $cells): string
    {
        return $cells['key'] ?? '';
    }

    protected function item(Garden $garden, Entry $entry, string $key): ?Planting
    {
        $planting = $garden->plantings->get($key);
        if (null === $planting) {
            return '' === $entry->raw('key') ? $this->fresh($garden, $entry) : $this->unknown($entry);
        }
        foreach ($this->rows($garden)[$key] as $column => $was) {
            if (!\in_array($column, self::MAY_CHANGE, true) && $entry->raw($column) !== $was) {
                $entry->fault($column, 'This is not changed from a list. Open the planting to change it.');
            }
        }
        $locked = $entry->oneOf('locked', ['yes', 'no']);
        $sow = $entry->day('sown');
        if ($entry->isGood() && !$sow->equals($planting->sow)) {
            $planting = $this->sownOn($garden, $planting, $sow, $entry);
        }

        return $entry->isGood() ? $planting->but(locked: 'yes' === $locked) : null;
    }

    protected function then(Garden $garden, object $item): Garden
    {
        return $garden->with($garden->plantings->with($item));
    }

    private function sownOn(Garden $garden, Planting $planting, Day $sow, Entry $entry): Planting
    {
        if (Standing::Planned !== $planting->standing) {
            $entry->fault('sown', 'It is sown already. Note what happened from its bed.');

            return $planting;
        }
        try {
            return (new ByHand($this->book, $this->recipes))->sowOn($garden, $planting, $sow);
        } catch (BadInput $bad) {
            $entry->fault('sown', $this->sayer->why($bad));

            return $planting;
        }
    }

    private function fresh(Garden $garden, Entry $entry): ?Planting
    {
        $cells = array_filter(['bed' => $entry->raw('bed'), 'crop' => $entry->raw('crop'), 'sown' => $entry->raw('sown'),
            'planted' => $entry->raw('planted'), 'length' => $entry->raw('length')], static fn (string $cell): bool => '' !== $cell);
        $row = (new StandingReader($this->book, $this->recipes))->read([['bed' => '', 'crop' => '', ...$cells]], $garden, true)[0];
        foreach ($row->faults as $column => $fault) {
            $entry->fault($column, $fault);
        }

        return $row->planting;
    }

    private function unknown(Entry $entry): null
    {
        $entry->fault('key', 'There is no planting of this key. Leave it empty for a new one.');

        return null;
    }
}
