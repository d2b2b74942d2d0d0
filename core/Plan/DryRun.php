<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Values;
use JollyFurrow\Planting\Planting;

/** What a change of some plantings would do, reckoned before anything is kept: conflicts, and promises kept better or worse. */
final readonly class DryRun
{
    /**
     * @param list<Planting>     $old       taken away
     * @param list<Planting>     $new       put in their place
     * @param list<Conflict>     $conflicts
     * @param list<SupplyChange> $changes   the dearest first
     * @param float              $worth     cents more (or less) taken at the outlets
     */
    private function __construct(public Garden $after, public array $old, public array $new, public array $conflicts,
        public array $changes, public float $worth)
    {
    }

    /**
     * @param list<Planting> $old
     * @param list<Planting> $new
     */
    public static function of(Planner $planner, CropBook $book, Garden $garden, array $old, array $new): self
    {
        $gone = array_flip(array_map(static fn (Planting $p): string => $p->key, $old));
        $after = $garden->with([...$garden->plantings->where(static fn (Planting $p): bool => !isset($gone[$p->key])), ...$new]);
        $values = Values::of($garden);
        $changes = self::changes($planner->asItStands($garden)->shortages, $planner->asItStands($after)->shortages,
            Promised::in($garden));
        usort($changes, static fn (SupplyChange $a, SupplyChange $b): int => [abs($b->gain()) * ($values[$b->item] ?? 0.0),
            $a->day->number] <=> [abs($a->gain()) * ($values[$a->item] ?? 0.0), $b->day->number]);
        $worth = array_sum(array_map(static fn (SupplyChange $c): float => $c->gain() * ($values[$c->item] ?? 0.0), $changes));

        return new self($after, $old, $new, (new Conflicts($book))->of($after, array_map(static fn (Planting $p): string => $p->key,
            $new)), $changes, $worth);
    }

    /** Nothing hard stands against it. */
    public function isPossible(): bool
    {
        return [] === array_filter($this->conflicts, static fn (Conflict $c): bool => $c->isHard());
    }

    /**
     * @param list<Shortage> $before
     * @param list<Shortage> $after
     *
     * @return list<SupplyChange>
     */
    private static function changes(array $before, array $after, Promised $promised): array
    {
        $rows = [];
        foreach ([$before, $after] as $side => $shortages) {
            foreach ($shortages as $short) {
                $key = $short->item.'/'.$short->outlet.'/'.$short->day->number.'/'.$short->reach;
                $rows[$key] ??= [$short, 0, 0];
                $rows[$key][1 + $side] += $short->units;
            }
        }
        $changes = [];
        foreach ($rows as [$short, $was, $is]) {
            $told = static fn (int $units): int => (int) ceil($promised->short($short->item, $short->outlet, $short->day, $units,
                $short->wanted));
            if ($told($was) !== $told($is)) {
                $changes[] = new SupplyChange($short->item, $short->outlet, $short->day, $told($was), $told($is),
                    (int) ceil($promised->of($short)));
            }
        }

        return $changes;
    }
}
