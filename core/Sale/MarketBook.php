<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Promise\Product;
use JollyFurrow\Time\Day;

/** What was ordered, what it costs, how market days went and what was in the boxes. */
final readonly class MarketBook
{
    /** @var array<string, Terms> by outlet */
    public array $terms;
    /** @var array<string, MixRule> by product */
    public array $mixes;

    /**
     * @param list<Order>        $orders
     * @param list<Terms>        $terms
     * @param list<Price>        $prices
     * @param list<MarketDay>    $days   oldest first
     * @param list<BoxSize>      $sizes
     * @param list<BoxWeek>      $boxes  oldest first
     * @param list<MixRule>      $mixes
     * @param list<GlutWay>      $gluts
     * @param list<DeliveryNote> $notes  by number
     */
    public function __construct(public array $orders = [], array $terms = [], public array $prices = [], public array $days = [],
        public array $sizes = [], public array $boxes = [], array $mixes = [], public array $gluts = [], public array $notes = [])
    {
        $this->mixes = array_combine(array_map(static fn (MixRule $m): string => $m->product, $mixes), $mixes);
        $this->terms = array_combine(array_map(static fn (Terms $t): string => $t->outlet, $terms), $terms);
    }

    public function isEmpty(): bool
    {
        return [] === $this->orders && [] === $this->terms && [] === $this->prices && [] === $this->days && [] === $this->sizes
            && [] === $this->boxes && [] === $this->mixes && [] === $this->gluts && [] === $this->notes;
    }

    public function termsOf(string $outlet): Terms
    {
        return $this->terms[$outlet] ?? new Terms($outlet);
    }

    public function order(string $key): ?Order
    {
        return array_values(array_filter($this->orders, static fn (Order $o): bool => $o->key === $key))[0] ?? null;
    }

    /** @return list<Order> of an outlet for a market day */
    public function ordered(string $outlet, Day $day): array
    {
        return array_values(array_filter($this->orders, static fn (Order $o): bool => $o->outlet === $outlet && $o->isFor($day)));
    }

    public function day(string $outlet, Day $day): ?MarketDay
    {
        return array_values(array_filter($this->days, static fn (MarketDay $d): bool => $d->outlet === $outlet && $d->day->equals($day)))[0]
            ?? null;
    }

    /** The narrowest that goes: of that size before any, of that outlet before everywhere, of that time before always; else its own. */
    public function price(string $outlet, Product $product, Day $day, string $size = ''): Price
    {
        $found = array_values(array_filter($this->prices, static fn (Price $p): bool => $p->isFor($outlet, $product->key, $day, $size)));
        usort($found, static fn (Price $a, Price $b): int => ['' === $a->size, '' === $a->outlet, null === $a->from && null === $a->until,
            $a->key]
            <=> ['' === $b->size, '' === $b->outlet, null === $b->from && null === $b->until, $b->key]);

        return $found[0] ?? new Price('', '', $product->key, $product->price);
    }

    /** @return list<BoxSize> of an outlet */
    public function sizesOf(string $outlet): array
    {
        return array_values(array_filter($this->sizes, static fn (BoxSize $s): bool => $s->outlet === $outlet));
    }

    /**
     * With market days more.
     *
     * @param list<MarketDay> $days
     */
    public function after(array $days): self
    {
        return new self($this->orders, array_values($this->terms), $this->prices, [...$this->days, ...$days], $this->sizes, $this->boxes,
            array_values($this->mixes), $this->gluts, $this->notes);
    }

    /** @param list<Order> $orders */
    public function ordering(array $orders): self
    {
        return new self($orders, array_values($this->terms), $this->prices, $this->days, $this->sizes, $this->boxes,
            array_values($this->mixes), $this->gluts, $this->notes);
    }

    /** @return list<string> sizes and varieties of a product that cost otherwise somewhere */
    public function sizesPriced(string $product): array
    {
        $sizes = array_map(static fn (Price $p): string => $p->size, array_filter($this->prices, static fn (Price $p): bool => $p->product
            === $product && '' !== $p->size));

        return array_values(array_unique($sizes));
    }

    public function note(string $number): ?DeliveryNote
    {
        return array_values(array_filter($this->notes, static fn (DeliveryNote $n): bool => $n->number === $number))[0] ?? null;
    }
}
