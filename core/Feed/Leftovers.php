<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Time\Day;

/** What crops left over in one bed, metre by metre, until the next one takes it. */
final class Leftovers
{
    /** Nitrogen left over is washed out when the next crop comes later than this, days (common practice). */
    private const WASHED_OUT = 120;

    /** @var list<array{from: int, to: int, left: Nutrients, until: Day}> grams a square metre, micrometres along the bed */
    private array $parts = [];

    /** Grams a square metre, as they lie over the stretch; it takes them along. */
    public function take(Stretch $stretch, Day $ground): Nutrients
    {
        $sum = Nutrients::none();
        $rest = [];
        foreach ($this->parts as $part) {
            $from = max($part['from'], $stretch->from);
            $to = min($part['to'], $stretch->to);
            if ($from >= $to) {
                $rest[] = $part;
                continue;
            }
            $isWashed = $ground->since($part['until']) > self::WASHED_OUT;
            $sum = $sum->plus(($isWashed ? $part['left']->shared(0.0, 1.0, 1.0) : $part['left'])
                ->times(($to - $from) / ($stretch->to - $stretch->from)));
            $rest = $part['from'] < $from ? [...$rest, [...$part, 'to' => $from]] : $rest;
            $rest = $to < $part['to'] ? [...$rest, [...$part, 'from' => $to]] : $rest;
        }
        $this->parts = $rest;

        return $sum;
    }

    public function leave(Stretch $stretch, Nutrients $surplus, Day $until): void
    {
        if (!$surplus->isNone()) {
            $this->parts[] = ['from' => $stretch->from, 'to' => $stretch->to, 'left' => $surplus, 'until' => $until];
        }
    }
}
