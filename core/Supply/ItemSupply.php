<?php

declare(strict_types=1);

namespace JollyFurrow\Supply;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Planting\Planting;

/** What the plantings of a garden serve of one item, and would serve if some went and others came. */
final class ItemSupply
{
    private readonly Needs $needs;
    /** @var array<string, list<Lot>> by item */
    private array $lots = [];

    private readonly TrueSupply $supply;

    public function __construct(private readonly Garden $garden, CropBook $book)
    {
        $this->supply = new TrueSupply($garden, $book);
        $this->needs = Needs::of($garden, $book);
        $this->lots = $this->supply->loose();
        foreach ($garden->plantings as $planting) {
            if ($book->has($planting->item)) {
                $this->lots[$planting->item] = [...$this->lots[$planting->item] ?? [],
                    ...$this->supply->lots($planting)];
            }
        }
    }

    /**
     * Units served from today on.
     *
     * @param list<Planting> $old
     * @param list<Planting> $new
     */
    public function served(string $item, array $old = [], array $new = []): int
    {
        $gone = array_flip(array_map(static fn (Planting $p): string => $p->key, $old));
        $lots = array_values(array_filter($this->lots[$item] ?? [], static fn (Lot $lot): bool => !isset($gone[$lot->planting])));
        foreach ($new as $planting) {
            $lots = $planting->item === $item ? [...$lots, ...$this->supply->lots($planting)] : $lots;
        }
        $served = 0;
        foreach (Allocation::of($this->needs->for($item), $lots)->served as $j => $units) {
            $served += $this->needs->for($item)[$j]->day >= $this->garden->today->number ? $units : 0;
        }

        return $served;
    }

    /** @return list<Need> what is not served from today on */
    public function short(string $item): array
    {
        $short = [];
        foreach (Allocation::of($this->needs->for($item), $this->lots[$item] ?? [])->served as $j => $units) {
            $need = $this->needs->for($item)[$j];
            if ($need->day >= $this->garden->today->number && $units < $need->units) {
                $short[] = $need->withUnits($need->units - $units);
            }
        }

        return $short;
    }
}
