<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;

/** One bed made two: the first part keeps the name, what lies beyond the cut goes to the new one, history to both. */
final readonly class SplitBed
{
    public function __construct(private Bed $bed, private Length $at, private string $name)
    {
    }

    public function first(): Bed
    {
        return $this->part($this->bed->name, $this->at);
    }

    public function second(): Bed
    {
        return $this->part($this->name, Length::fromMicrometres($this->bed->length->micrometres - $this->at->micrometres));
    }

    /** A planting that stands, or is to stand, across the cut; null: none. */
    public function across(Garden $garden): ?Planting
    {
        foreach ($garden->plantings->on($this->bed->name) as $planting) {
            if (!$planting->isOver($garden->today) && \count($this->pieces($planting->pieces)) > \count($planting->pieces)) {
                return $planting;
            }
        }

        return null;
    }

    /** @return list<Planting> those of the bed as they lie afterwards */
    public function plantings(Garden $garden): array
    {
        return array_map(fn (Planting $p): Planting => $p->but(pieces: $this->pieces($p->pieces)),
            $garden->plantings->on($this->bed->name)->all());
    }

    /** @return list<PastCrop> of one that stood on the bed: one on each part it reached */
    public function history(PastCrop $past): array
    {
        return array_map(static fn (Stretch $piece): PastCrop => new PastCrop($piece, $past->crop, $past->cleared),
            $this->pieces([$past->stretch]));
    }

    /**
     * @param list<Stretch> $pieces
     *
     * @return list<Stretch>
     */
    private function pieces(array $pieces): array
    {
        $cut = $this->at->micrometres;
        $parts = [];
        foreach ($pieces as $piece) {
            if ($piece->bed !== $this->bed->name || $piece->to <= $cut) {
                $parts[] = $piece;
                continue;
            }
            if ($piece->from < $cut) {
                $parts[] = Stretch::of($piece->bed, $piece->from, $cut, $piece->widthShare);
            }
            $parts[] = Stretch::of($this->name, max($piece->from, $cut) - $cut, $piece->to - $cut, $piece->widthShare);
        }

        return $parts;
    }

    private function part(string $name, Length $length): Bed
    {
        return new Bed($name, $this->bed->block, $this->bed->position, $length, $this->bed->width, $this->bed->path, $this->bed->place,
            $this->bed->temper, $this->bed->quarantine, $this->bed->retired);
    }
}
