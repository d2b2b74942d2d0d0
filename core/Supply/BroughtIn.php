<?php

declare(strict_types=1);

namespace JollyFurrow\Supply;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Part;
use JollyFurrow\Storage\HarvestLot;

/**
 * What was brought in of plantings, as supply: what is gone served the market days after it was cut, what lies in store serves
 * until it is no longer good, and the planting still gives what it was expected to give less that.
 */
final class BroughtIn
{
    /** What went straight to market is sold within so many days: no later one is served by it, days. */
    private const ON_ITS_WAY = 4;

    /** @var array<string, list<HarvestLot>> by planting; those of no planting under an empty one */
    private array $lots = [];
    /** @var array<string, array<int, true>>|null */
    private ?array $promised = null;
    /** @var array<string, list<Holding>> by lot */
    private array $there = [];

    public function __construct(private readonly Garden $garden, private readonly CropBook $book)
    {
        foreach ($garden->store->harvests as $lot) {
            $this->lots[null === $garden->plantings->get($lot->planting) ? '' : $lot->planting][] = $lot;
        }
        foreach ([] === $garden->store->harvests ? [] : Holdings::of($garden, $book)->all as $holding) {
            $this->there[$holding->lot->key][] = $holding;
        }
    }

    /**
     * @param list<Lot> $expected of the planting
     *
     * @return list<Lot> with what is known of its harvest
     */
    public function of(Planting $planting, Crop $crop, array $expected): array
    {
        $lots = $this->lots[$planting->key] ?? [];
        if ([] === $lots) {
            return $expected;
        }
        $lifted = array_sum(array_map(static fn (HarvestLot $l): float => $l->takes(), $lots));
        $last = max([0, ...array_map(static fn (HarvestLot $l): int => $l->use->isEarly() ? 0 : $l->day->number, $lots)]);

        return [...$this->known($lots), ...($crop->pattern->isStock() ? $this->rest($planting, $expected, $lifted) : array_values(
            array_filter($expected, static fn (Lot $l): bool => $l->from > $last)))];
    }

    /** @return array<string, list<Lot>> by item: what was brought in of plantings that are no more, or never were */
    public function loose(): array
    {
        $loose = [];
        foreach ($this->lots[''] ?? [] as $lot) {
            $loose[$lot->item] = [...$loose[$lot->item] ?? [], ...$this->known([$lot])];
        }

        return array_filter($loose, fn (string $item): bool => $this->book->has($item), \ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param list<HarvestLot> $lots
     *
     * @return list<Lot>
     */
    private function known(array $lots): array
    {
        $known = [];
        foreach ($lots as $lot) {
            if (!$lot->grade->isSold() || $lot->use->isEarly()) {
                continue;
            }
            $key = '' === $lot->planting ? $lot->key : $lot->planting;
            $left = 0.0;
            foreach ($this->there[$lot->key] ?? [] as $holding) {
                $left += $holding->units();
                // As if cut so that it keeps to its last good day: it goes before or after what stands by that.
                $known[] = new Lot($key, max($this->garden->today->number, $holding->goodFrom->number), $holding->likely->number
                    - $holding->crop->produce->keepingDays, $holding->units(), $holding->crop->produce->weeklyLoss,
                    $holding->likely->number);
            }
            if ($lot->units() - $left > 1e-9) {
                $known[] = new Lot($key, $lot->day->number, $lot->day->number, $lot->units() - $left, 0.0,
                    $this->onItsWayUntil($lot), true);
            }
        }

        return $known;
    }

    /** A market day it was wanted on has gone by: it was sold there. Else it is still on its way to the next. */
    private function onItsWayUntil(HarvestLot $lot): int
    {
        $yesterday = $this->garden->today->number - 1;
        for ($day = $lot->day->number; $day <= $yesterday; ++$day) {
            if (isset($this->promised()[$lot->item][$day])) {
                return $yesterday;
            }
        }

        return max($yesterday, $lot->day->number + self::ON_ITS_WAY);
    }

    /** @return array<string, array<int, true>> days of late on which something was promised, by item */
    private function promised(): array
    {
        if (null === $this->promised) {
            $items = [];
            foreach ($this->garden->products as $product) {
                $items[$product->key] = array_map(static fn (Part $part): string => $part->item, $product->parts);
            }
            $this->promised = [];
            foreach ($this->garden->promises as $promise) {
                $ago = $this->garden->today->since($promise->day);
                foreach ($ago > 0 && $ago <= self::ON_ITS_WAY ? $items[$promise->product] ?? [] : [] as $item) {
                    $this->promised[$item][$promise->day->number] = true;
                }
            }
        }

        return $this->promised;
    }

    /**
     * @param list<Lot> $expected
     *
     * @return list<Lot> a stock less what was lifted
     */
    private function rest(Planting $planting, array $expected, float $lifted): array
    {
        $rest = [];
        foreach ($expected as $lot) {
            $left = max(0.0, $lot->units - $lifted);
            $lifted = max(0.0, $lifted - $lot->units);
            $from = max($lot->from, min($lot->to, $this->garden->today->number));
            // Its time is over: what was not brought in is not there.
            $isOver = $lot->to < $this->garden->today->number;
            $left < 1.0 || $isOver ?: $rest[] = new Lot($planting->key, $from, $lot->to, $lot->weeklyLoss > 0.0 ? $left
                : floor($left + 1e-9), $lot->weeklyLoss);
        }

        return $rest;
    }
}
