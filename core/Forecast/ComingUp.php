<?php

declare(strict_types=1);

namespace JollyFurrow\Forecast;

use JollyFurrow\Boxes\MixMaking;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\ComingLine;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MixRule;
use JollyFurrow\Sale\Order;
use JollyFurrow\Time\Day;

/** What is coming up for an outlet: its products by market day, what of them is sure and likely, at what price, until when. */
final readonly class ComingUp
{
    private const MOST = 100_000;

    /** @param array<int, non-empty-list<ComingLine>> $days by day number */
    private function __construct(public array $days)
    {
    }

    public static function for(string $outlet, Garden $garden, CropBook $crops, MarketForecast $forecast): self
    {
        $there = $promised = [];
        foreach ($forecast->forOutlet($outlet) as $line) {
            $there[$line->day->number][$line->item] = $line->there;
        }
        foreach ($garden->promises as $promise) {
            $promise->outlet !== $outlet ?: $promised[$promise->day->number][$promise->product] = $promise->quantity;
        }
        ksort($there);
        $days = [];
        foreach ($there as $number => $items) {
            $day = Day::of($number);
            foreach ($garden->products as $product) {
                [$sure, $likely] = self::units($product, $garden->market->mixes[$product->key] ?? null, $crops, $items);
                $ordered = (float) array_sum(array_map(static fn (Order $o): float => $o->product === $product->key ? $o->quantity : 0.0,
                    $garden->market->ordered($outlet, $day)));
                $line = new ComingLine($product, $day, $sure, $likely, $promised[$number][$product->key] ?? 0.0, $ordered,
                    $garden->market->price($outlet, $product, $day));
                0 === $likely && 0.0 === $line->promised && 0.0 === $ordered ?: $days[$number][] = $line;
            }
        }

        return new self(self::lasting($days));
    }

    /** @return list<ComingLine> of a market day */
    public function on(Day $day): array
    {
        return $this->days[$day->number] ?? [];
    }

    /**
     * Of a mix as much as the scarcest of its parts makes, or as its bounds allow.
     *
     * @param array<string, Amounts> $items
     *
     * @return array{int, int} sure and likely
     */
    private static function units(Product $product, ?MixRule $rule, CropBook $crops, array $items): array
    {
        $sure = $likely = [];
        foreach ($product->parts as $part) {
            $packed = 1 - $crops->get($part->item)->produce->packingLoss;
            $sure[$part->item] = ($items[$part->item]->sure ?? 0) * $packed;
            $likely[$part->item] = ($items[$part->item]->likely ?? 0) * $packed;
        }

        return [MixMaking::of($product, $rule, $sure, self::MOST)->made, MixMaking::of($product, $rule, $likely, self::MOST)->made];
    }

    /**
     * @param array<int, non-empty-list<ComingLine>> $days
     *
     * @return array<int, non-empty-list<ComingLine>>
     */
    private static function lasting(array $days): array
    {
        $last = array_key_last($days);
        $until = [];
        foreach (array_reverse($days, true) as $number => $lines) {
            $now = [];
            foreach ($lines as $line) {
                if ($line->likely > 0) {
                    $now[$line->product->key] = \array_key_exists($line->product->key, $until) ? $until[$line->product->key]
                        : ($number === $last ? null : $line->day);
                }
            }
            $until = $now;
            $days[$number] = array_map(static fn (ComingLine $l): ComingLine => $l->lasts($until[$l->product->key] ?? null), $lines);
        }

        return $days;
    }
}
