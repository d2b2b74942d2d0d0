<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Planting\Planting;

/** What a new set of plantings changes in an old one. */
final readonly class PlanDifference
{
    private function __construct(public int $new, public int $changed, public int $dropped, public int $same)
    {
    }

    /**
     * @param list<Planting> $old
     * @param list<Planting> $new
     */
    public static function between(array $old, array $new): self
    {
        $before = [];
        foreach ($old as $planting) {
            $before[$planting->key] = $planting;
        }
        $added = $changed = $same = 0;
        foreach ($new as $planting) {
            $was = $before[$planting->key] ?? null;
            unset($before[$planting->key]);
            null === $was ? ++$added : ($was == $planting ? ++$same : ++$changed);
        }

        return new self($added, $changed, \count($before), $same);
    }

    public function words(): string
    {
        if (0 === $this->new + $this->changed + $this->dropped) {
            return \sprintf('nothing to change, %d plantings stay as they are', $this->same);
        }

        return \sprintf('%d plantings new, %d changed, %d dropped, %d as they were', $this->new, $this->changed, $this->dropped,
            $this->same);
    }
}
