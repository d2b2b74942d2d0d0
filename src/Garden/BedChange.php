<?php

declare(strict_types=1);

namespace App\Garden;

use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Treatment\Spray;

/** What hangs on a bed, and what of it stands in the way of a change. */
final readonly class BedChange
{
    public function __construct(private Garden $garden, private CropBook $book, private Bed $bed, private Sayer $sayer)
    {
    }

    /** A planting that reaches beyond a length, in words; null: none. What is over counts too: it is history. */
    public function beyond(Length $length): ?string
    {
        foreach ($this->plantings() as $planting) {
            foreach ($planting->pieces as $piece) {
                if ($piece->bed === $this->bed->name && $piece->to > $length->micrometres) {
                    return $this->called($planting);
                }
            }
        }
        foreach ($this->history() as $past) {
            if ($past->stretch->to > $length->micrometres) {
                return \sprintf('%s, cleared in %d', $this->book->has($past->crop) ? $this->book->get($past->crop)->name : $past->crop,
                    $past->cleared->year());
            }
        }

        return null;
    }

    /** A planting that is not for that place, in words; null: none. */
    public function notFor(PlaceType $place): ?string
    {
        foreach ($place === $this->bed->place ? [] : $this->plantings() as $planting) {
            return $this->called($planting);
        }

        return null;
    }

    /** The first planting that stands on it or is to; null: none. */
    public function standing(): ?Planting
    {
        foreach ($this->plantings() as $planting) {
            if (!$planting->isOver($this->garden->today)) {
                return $planting;
            }
        }

        return null;
    }

    /** @return list<string> what would be lost with the bed, in words; none: nothing hangs on it */
    public function hangingOn(): array
    {
        $plantings = \count($this->plantings());
        $past = \count($this->history());

        $covers = \count(array_filter($this->garden->protections, fn (Protection $p): bool => $p->bed === $this->bed->name));

        $tests = \count(array_filter($this->garden->soil->tests, fn (SoilTest $t): bool => $t->bed === $this->bed->name));
        $spread = \count(array_filter($this->garden->soil->spreads, fn (Spread $s): bool => $s->bed === $this->bed->name));

        $lots = \count(array_filter($this->garden->store->harvests, fn (HarvestLot $l): bool => $l->bed === $this->bed->name));
        $sprays = \count(array_filter($this->garden->sprays->sprays, fn (Spray $s): bool => $s->isOn($this->bed->name)));

        return array_values(array_filter([
            0 === $lots ? null : \sprintf('%d harvest%s', $lots, 1 === $lots ? '' : 's'),
            0 === $sprays ? null : \sprintf('%d treatment%s', $sprays, 1 === $sprays ? '' : 's'),
            0 === $tests ? null : \sprintf('%d soil test%s', $tests, 1 === $tests ? '' : 's'),
            0 === $spread ? null : \sprintf('%d note%s of what was spread', $spread, 1 === $spread ? '' : 's'),
            0 === $plantings ? null : \sprintf('%d planting%s', $plantings, 1 === $plantings ? '' : 's'),
            0 === $covers ? null : \sprintf('%d cover%s', $covers, 1 === $covers ? '' : 's'),
            0 === $past ? null : \sprintf('%d earlier crop%s', $past, 1 === $past ? '' : 's'),
        ]));
    }

    /** @return list<Planting> */
    private function plantings(): array
    {
        return array_values(array_filter($this->garden->plantings->all(), fn (Planting $p): bool => [] !== array_filter($p->pieces,
            fn ($piece): bool => $piece->bed === $this->bed->name)));
    }

    /** @return list<PastCrop> */
    private function history(): array
    {
        return array_values(array_filter($this->garden->history, fn (PastCrop $p): bool => $p->stretch->bed === $this->bed->name));
    }

    public function called(Planting $planting): string
    {
        return \sprintf('%s, sown %s', $this->book->grown($planting->item, $planting->variety)->name,
            $this->sayer->shortDay($planting->sow));
    }
}
