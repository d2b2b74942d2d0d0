<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Time\Day;

/** What outlets want of products by day, reckoned from the garden file: promises, and orders where they are more or closed. */
final readonly class OrderSums
{
    private const AHEAD = 180;

    public function __construct(private Sheet $garden)
    {
    }

    /** @return list<array{string, string, int, float}> outlet, product, day, quantity */
    public function wanted(): array
    {
        $promised = [];
        foreach ($this->garden->parts('promises') as $p) {
            $promised[$p->text('outlet')][$p->day('day') ?? 0][$p->text('product')] = $p->number('quantity');
        }
        $ordered = $this->ordered($promised);
        $today = $this->garden->day('today') ?? 0;
        $closes = [];
        foreach ($this->garden->parts('terms') as $t) {
            $t->has('closes_days') ? $closes[$t->text('outlet')] = (int) $t->number('closes_days') : null;
        }
        $wanted = [];
        foreach (array_unique([...array_keys($promised), ...array_keys($ordered)]) as $outlet) {
            foreach (array_unique([...array_keys($promised[$outlet] ?? []), ...array_keys($ordered[$outlet] ?? [])]) as $day) {
                $orders = $ordered[$outlet][$day] ?? [];
                $isClosed = [] !== $orders && $day >= $today && isset($closes[$outlet]) && $day - $closes[$outlet] < $today;
                foreach (array_unique([...array_keys($promised[$outlet][$day] ?? []), ...array_keys($orders)]) as $product) {
                    $wanted[] = [(string) $outlet, (string) $product, $day, $isClosed ? $orders[$product] ?? 0.0
                        : max($promised[$outlet][$day][$product] ?? 0.0, $orders[$product] ?? 0.0)];
                }
            }
        }

        return $wanted;
    }

    /**
     * @param array<string, array<int, array<string, float>>> $promised
     *
     * @return array<string, array<int, array<string, float>>> by outlet, day and product
     */
    private function ordered(array $promised): array
    {
        $end = ($this->garden->day('today') ?? 0) + self::AHEAD;
        foreach ($promised as $days) {
            $end = max($end, ...array_keys($days));
        }
        $ordered = [];
        foreach ($this->garden->parts('orders') as $order) {
            $from = $order->day('day') ?? 0;
            $until = 'standing' !== $order->text('kind') ? $from : ($order->has('until') ? min($end, $order->day('until') ?? $end) : $end);
            for ($day = $from; $day <= $until; ++$day) {
                if ($from === $until || $this->isOpen($order->text('outlet'), $day)) {
                    $there = $ordered[$order->text('outlet')][$day][$order->text('product')] ?? 0.0;
                    $ordered[$order->text('outlet')][$day][$order->text('product')] = $there + $order->number('quantity');
                }
            }
        }

        return $ordered;
    }

    private function isOpen(string $key, int $day): bool
    {
        foreach ($this->garden->parts('outlets') as $outlet) {
            if ($outlet->text('key') === $key) {
                $days = $outlet->has('weekdays') ? $outlet->numbers('weekdays') : [$outlet->number('weekday')];
                $closed = array_filter($outlet->parts('closed'), static fn (Sheet $c): bool => ($c->day('from') ?? 0) <= $day
                    && $day <= ($c->day('to') ?? 0));

                return \in_array((float) Day::of($day)->weekday()->value, $days, true) && [] === $closed;
            }
        }

        return false;
    }
}
