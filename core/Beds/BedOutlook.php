<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;

/** A stretch of a bed and the time it is next free: from a day, until another takes it or for good. */
final readonly class BedOutlook
{
    /**
     * @param Day|null      $until  last free day; null: nothing is planned after
     * @param Planting|null $after  what stands there until then; null: free today
     * @param Planting|null $before what takes it next
     */
    private function __construct(public Stretch $stretch, public Day $from, public ?Day $until, public ?Planting $after,
        public ?Planting $before)
    {
    }

    /**
     * @param list<Planting> $plantings
     *
     * @return list<self> from the head of the bed on; neighbours with the same answer are one stretch
     */
    public static function of(Bed $bed, array $plantings, Day $today): array
    {
        $here = array_values(array_filter($plantings, static fn (Planting $p): bool => [] !== array_filter($p->pieces,
            static fn (Stretch $s): bool => $s->bed === $bed->name)));
        usort($here, static fn (Planting $a, Planting $b): int => [$a->bedStart->number, $a->key] <=> [$b->bedStart->number, $b->key]);
        $cuts = [0, $bed->length->micrometres];
        foreach ($here as $planting) {
            foreach ($planting->pieces as $piece) {
                $cuts = $piece->bed === $bed->name ? [...$cuts, $piece->from, min($piece->to, $bed->length->micrometres)] : $cuts;
            }
        }
        $cuts = array_values(array_unique($cuts));
        sort($cuts);
        $found = [];
        for ($i = 1; $i < \count($cuts); ++$i) {
            $next = self::ofStretch(Stretch::of($bed->name, $cuts[$i - 1], $cuts[$i]), $here, $today);
            $last = end($found);
            if (false !== $last && $last->after?->key === $next->after?->key && $last->before?->key === $next->before?->key) {
                array_pop($found);
                $next = new self(Stretch::of($bed->name, $last->stretch->from, $next->stretch->to), $next->from, $next->until,
                    $next->after, $next->before);
            }
            $found[] = $next;
        }

        return $found;
    }

    public function isFreeNow(): bool
    {
        return null === $this->after;
    }

    /** @param list<Planting> $here in the order they take the bed */
    private static function ofStretch(Stretch $stretch, array $here, Day $today): self
    {
        $from = $today;
        $after = null;
        foreach ($here as $planting) {
            if (Standing::Cleared === $planting->standing && !$today->isBefore($planting->clear) || $planting->clear->isBefore($from)
                || [] === array_filter($planting->pieces, static fn (Stretch $s): bool => $s->sharesGroundWith($stretch))) {
                continue;
            }
            if ($from->isBefore($planting->bedStart)) {
                return new self($stretch, $from, $planting->bedStart->plus(-1), $after, $planting);
            }
            $from = $planting->clear->plus(1);
            $after = $planting;
        }

        return new self($stretch, $from, null, $after, null);
    }
}
