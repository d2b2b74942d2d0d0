<?php

declare(strict_types=1);

namespace JollyFurrow\Need;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\OrderKind;
use JollyFurrow\Time\Day;

/**
 * What an outlet wants of a product on a market day: what it was promised or has ordered, whichever is more; once its orders are
 * closed, what it ordered. Where nobody ordered anything for that day the promises stand.
 */
final readonly class Wanted
{
    /** A standing order is looked ahead at so far where nothing is promised later, days. */
    private const AHEAD = 180;

    /**
     * @param float $quantity in units of sale
     * @param float $firm     of it ordered for that day
     * @param float $standing of it ordered the same every time
     */
    private function __construct(public string $outlet, public string $product, public Day $day, public float $quantity,
        public float $firm, public float $standing)
    {
    }

    /** @return list<self> */
    public static function all(Garden $garden): array
    {
        $promised = $ordered = $isOrdered = [];
        foreach ($garden->promises as $promise) {
            $promised[self::key($promise->outlet, $promise->product, $promise->day)] = [$promise->outlet, $promise->product, $promise->day,
                $promise->quantity];
        }
        foreach (self::orders($garden, $promised) as [$order, $day]) {
            $key = self::key($order->outlet, $order->product, $day);
            $promised[$key] ??= [$order->outlet, $order->product, $day, 0.0];
            $ordered[$key][$order->kind->value] = ($ordered[$key][$order->kind->value] ?? 0.0) + $order->quantity;
            $isOrdered[$order->outlet.' '.$day->number] = true;
        }
        $all = [];
        foreach ($promised as $key => [$outlet, $product, $day, $quantity]) {
            $firm = $ordered[$key][OrderKind::Firm->value] ?? 0.0;
            $standing = $ordered[$key][OrderKind::Standing->value] ?? 0.0;
            $isClosed = isset($isOrdered[$outlet.' '.$day->number]) && !$day->isBefore($garden->today)
                && $garden->market->termsOf($outlet)->isClosed($day, $garden->today);
            $wanted = $isClosed ? $firm + $standing : max($quantity, $firm + $standing);
            $wanted <= 0.0 ?: $all[] = new self($outlet, $product, $day, $wanted, $firm, $standing);
        }

        return $all;
    }

    /**
     * @param array<string, array{string, string, Day, float}> $promised
     *
     * @return iterable<array{Order, Day}>
     */
    private static function orders(Garden $garden, array $promised): iterable
    {
        $outlets = array_combine(array_map(static fn (Outlet $o): string => $o->key, $garden->outlets), $garden->outlets);
        $last = $garden->today->plus(self::AHEAD);
        foreach (array_column($promised, 2) as $day) {
            $last = $last->isBefore($day) ? $day : $last;
        }
        foreach ($garden->market->orders as $order) {
            if (OrderKind::Firm === $order->kind) {
                yield [$order, $order->day];
                continue;
            }
            $until = null === $order->until || $last->isBefore($order->until) ? $last : $order->until;
            foreach (isset($outlets[$order->outlet]) ? $outlets[$order->outlet]->days->between($order->day, $until) : [] as $day) {
                yield [$order, $day];
            }
        }
    }

    private static function key(string $outlet, string $product, Day $day): string
    {
        return $outlet.' '.$product.' '.$day->number;
    }
}
