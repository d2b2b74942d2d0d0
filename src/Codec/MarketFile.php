<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Measure\Money;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Sale\DeliveryLine;
use JollyFurrow\Sale\DeliveryNote;
use JollyFurrow\Sale\GlutKind;
use JollyFurrow\Sale\GlutWay;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\MixRule;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\OrderKind;
use JollyFurrow\Sale\Price;
use JollyFurrow\Sale\Sold;
use JollyFurrow\Sale\Terms;
use JollyFurrow\Sale\Weathering;

/** Orders, terms, prices, market days, boxes, mixes and delivery notes, as they stand in a garden file and in the database. */
final class MarketFile
{
    private const KEY = '/^[a-z0-9-]{1,36}$/';
    private const UNITS = 1_000_000;
    private const CENTS = 100_000_000;

    /** @return array<string, mixed> empty where there is nothing to write */
    public static function values(MarketBook $market): array
    {
        return array_filter([
            'orders' => array_map(self::orderValues(...), $market->orders),
            'terms' => array_map(self::termsValues(...), array_values($market->terms)),
            'prices' => array_map(self::priceValues(...), $market->prices),
            'market_days' => array_map(self::dayValues(...), $market->days),
            'box_sizes' => array_map(self::sizeValues(...), $market->sizes),
            'boxes' => array_map(self::boxValues(...), $market->boxes),
            'mixes' => array_map(self::mixValues(...), array_values($market->mixes)),
            'gluts' => array_map(self::glutValues(...), $market->gluts),
            'delivery_notes' => array_map(self::noteValues(...), $market->notes),
        ], static fn (array $list): bool => [] !== $list);
    }

    /**
     * @param list<string> $outlets
     * @param list<string> $products
     */
    public static function read(Node $node, array $outlets, array $products): MarketBook
    {
        $read = static fn (string $field, int $most): array => array_map(static fn (Node $n): Node => self::known($n, $outlets, $products),
            $node->has($field) ? $node->objects($field, $most) : []);

        return new MarketBook(array_map(self::order(...), $read('orders', Limits::ORDERS)), array_map(self::terms(...), $read('terms',
            Limits::OUTLETS)), array_map(self::price(...), $read('prices', Limits::PRICES)), array_map(self::day(...), $read('market_days',
                Limits::MARKET_DAYS)), array_map(self::size(...), $read('box_sizes', Limits::BOX_SIZES)), array_map(self::box(...),
                    $read('boxes', Limits::MARKET_DAYS)), array_map(self::mix(...), $read('mixes', Limits::PRODUCTS)), array_map(
                        self::glut(...), $read('gluts', Limits::BOX_SIZES)), array_map(self::note(...), $read('delivery_notes',
                            Limits::MARKET_DAYS)));
    }

    /**
     * @param list<string> $outlets
     * @param list<string> $products
     */
    private static function known(Node $n, array $outlets, array $products): Node
    {
        if ($n->has('outlet') && !\in_array($n->text('outlet', 60), $outlets, true)) {
            $n->fault('outlet', 'is not among the outlets of this file.');
        }
        if ($n->has('product') && !\in_array($n->text('product', 60), $products, true)) {
            $n->fault('product', 'is not among the products of this file.');
        }

        return $n;
    }

    /** @return array<string, mixed> */
    public static function orderValues(Order $o): array
    {
        return self::filled(['key' => $o->key, 'outlet' => $o->outlet, 'product' => $o->product, 'day' => $o->day->iso(),
            'quantity' => $o->quantity, 'kind' => $o->kind->value, 'until' => $o->until?->iso(), 'who' => $o->who, 'words' => $o->words]);
    }

    public static function order(Node $n): Order
    {
        return new Order($n->text('key', 36, self::KEY, 'a key of its own'), $n->text('outlet', 60), $n->text('product', 60),
            $n->day('day'), $n->float('quantity', 0, self::UNITS), $n->choice('kind', OrderKind::class), $n->has('until')
                ? $n->day('until') : null, self::text($n, 'who', Limits::NAME), self::text($n, 'words', Limits::NOTE));
    }

    /** @return array<string, mixed> */
    public static function termsValues(Terms $t): array
    {
        return self::filled(['outlet' => $t->outlet, 'closes_days' => $t->closesDays, 'hour' => $t->hour,
            'second' => 0 === $t->second ? null : $t->second]);
    }

    public static function terms(Node $n): Terms
    {
        return new Terms($n->text('outlet', 60), $n->optionalInt('closes_days', 0, 60), $n->has('hour') ? $n->int('hour', 1, 24) : 24,
            $n->has('second') ? $n->int('second', 0, 100) : 0);
    }

    /** @return array<string, mixed> */
    public static function priceValues(Price $p): array
    {
        return self::filled(['key' => $p->key, 'outlet' => $p->outlet, 'product' => $p->product, 'cents' => $p->each->cents,
            'from' => $p->from?->iso(), 'until' => $p->until?->iso(), 'many' => 0 === $p->many ? null : $p->many,
            'many_cents' => $p->forMany?->cents, 'size' => $p->size]);
    }

    public static function price(Node $n): Price
    {
        $many = $n->optionalInt('many', 2, 1000);
        $cents = $n->optionalInt('many_cents', 0, self::CENTS);

        return new Price($n->text('key', 36, self::KEY, 'a key of its own'), self::text($n, 'outlet', 60), $n->text('product', 60),
            Money::fromCents($n->int('cents', 0, self::CENTS)), $n->has('from') ? $n->day('from') : null, $n->has('until')
                ? $n->day('until') : null, $many ?? 0, null === $cents ? null : Money::fromCents($cents), self::text($n, 'size', 60));
    }

    /** @return array<string, mixed> */
    public static function dayValues(MarketDay $d): array
    {
        return self::filled(['outlet' => $d->outlet, 'day' => $d->day->iso(), 'weather' => $d->weather->value,
            'holiday' => $d->isHoliday ? true : null, 'cents' => $d->cents, 'words' => $d->words,
            'lines' => array_map(static fn (Sold $s): array => self::filled(['product' => $s->product, 'taken' => $s->taken,
                'back' => $s->back, 'given' => 0 === $s->given ? null : $s->given, 'lost' => 0 === $s->lost ? null : $s->lost,
                'cents' => $s->cents, 'out_at' => $s->outAt, 'size' => $s->size, 'cut' => $s->cut]), $d->lines)]);
    }

    public static function day(Node $n): MarketDay
    {
        $lines = [];
        foreach ($n->has('lines') ? $n->objects('lines', Limits::PRODUCTS) : [] as $line) {
            $count = static fn (string $field): int => $line->has($field) ? $line->int($field, 0, self::UNITS) : 0;
            $left = [$count('back'), $count('given'), $count('lost')];
            if (array_sum($left) > $count('taken')) {
                $line->fault('back', 'is more, with what was given and lost, than was taken.');
                $left = [0, 0, 0];
            }
            $lines[] = new Sold($line->text('product', 60), $count('taken'), $left[0], $left[1], $left[2],
                $line->optionalInt('cents', 0, self::CENTS), $line->has('out_at') ? $line->text('out_at', 5, '/^\d\d:\d\d$/',
                    'a time such as 10:30') : null, self::text($line, 'size', 60), $line->optionalInt('cut', 0, self::CENTS));
        }

        return new MarketDay($n->text('outlet', 60), $n->day('day'), $lines, $n->has('weather') ? $n->choice('weather', Weathering::class)
            : Weathering::Fair, $n->has('holiday') && $n->bool('holiday'), $n->optionalInt('cents', 0, self::CENTS),
            self::text($n, 'words', Limits::NOTE));
    }

    /** @return array<string, mixed> */
    public static function sizeValues(BoxSize $s): array
    {
        return self::filled(['key' => $s->key, 'outlet' => $s->outlet, 'name' => $s->name, 'cents' => $s->price->cents,
            'groups' => $s->groups, 'rests' => array_map(static fn (string|int $product,
                int $weeks): array => ['product' => (string) $product,
                'weeks' => $weeks], array_keys($s->rests), $s->rests)]);
    }

    public static function size(Node $n): BoxSize
    {
        $groups = $n->ints('groups', 6, 0, 10_000);
        if ([] === $groups) {
            $n->fault('groups', 'needs at least one group.');
        }

        $rests = [];
        foreach ($n->has('rests') ? $n->objects('rests', Limits::PRODUCTS) : [] as $rest) {
            $rests[$rest->text('product', 60)] = $rest->int('weeks', 2, 52);
        }

        return new BoxSize($n->text('key', 36, self::KEY, 'a key of its own'), $n->text('outlet', 60), $n->text('name', 60),
            Money::fromCents($n->int('cents', 0, self::CENTS)), [] === $groups ? [0] : $groups, $rests);
    }

    /** @return array<string, mixed> */
    public static function boxValues(BoxWeek $b): array
    {
        $contents = [];
        foreach ($b->contents as $class => $products) {
            foreach ($products as $product => $units) {
                $contents[] = ['box' => $class, 'product' => (string) $product, 'units' => $units];
            }
        }

        return ['outlet' => $b->outlet, 'day' => $b->day->iso(), 'contents' => $contents];
    }

    public static function box(Node $n): BoxWeek
    {
        $contents = [];
        foreach ($n->has('contents') ? $n->objects('contents', 2_000) : [] as $line) {
            $contents[$line->text('box', 40)][$line->text('product', 60)] = $line->int('units', 0, 10_000);
        }

        return new BoxWeek($n->text('outlet', 60), $n->day('day'), $contents);
    }

    /** @return array<string, mixed> */
    public static function mixValues(MixRule $m): array
    {
        return self::filled(['product' => $m->product, 'any_of' => $m->isAnyOf ? true : null, 'bounds' => array_map(
            static fn (string|int $item, array $b): array => ['item' => (string) $item, 'low' => $b[0], 'high' => $b[1]],
            array_keys($m->bounds), $m->bounds)]);
    }

    public static function mix(Node $n): MixRule
    {
        $bounds = [];
        foreach ($n->has('bounds') ? $n->objects('bounds', 20) : [] as $line) {
            $bounds[$line->text('item', 60)] = [$line->float('low', 0, 1), $line->float('high', 0, 1)];
        }
        $rule = new MixRule($n->text('product', 60), $n->has('any_of') && $n->bool('any_of'), $bounds);
        $rule->isPossible(\count($bounds) + 1) ?: $n->fault('bounds', 'leave no mix: the least are more than all of it.');

        return $rule;
    }

    /** @return array<string, mixed> */
    public static function glutValues(GlutWay $g): array
    {
        return self::filled(['key' => $g->key, 'kind' => $g->kind->value, 'name' => $g->name, 'product' => $g->product,
            'percent' => $g->percent, 'most' => $g->most]);
    }

    public static function glut(Node $n): GlutWay
    {
        return new GlutWay($n->text('key', 36, self::KEY, 'a key of its own'), $n->choice('kind', GlutKind::class), $n->text('name', 60),
            self::text($n, 'product', 60), $n->int('percent', 0, 100), $n->optionalInt('most', 1, self::UNITS));
    }

    /** @return array<string, mixed> */
    public static function noteValues(DeliveryNote $d): array
    {
        return self::filled(['number' => $d->number, 'outlet' => $d->outlet, 'day' => $d->day->iso(), 'words' => $d->words,
            'withdrawn' => $d->isWithdrawn ? true : null, 'lines' => array_map(static fn (DeliveryLine $l): array => self::filled([
                'product' => $l->product, 'units' => $l->units, 'cents' => $l->cents, 'lots' => $l->lots]), $d->lines)]);
    }

    public static function note(Node $n): DeliveryNote
    {
        $lines = array_map(static fn (Node $line): DeliveryLine => new DeliveryLine($line->text('product', 60), $line->int('units', 1,
            self::UNITS), $line->int('cents', 0, self::CENTS), self::text($line, 'lots', Limits::NOTE)), $n->objects('lines',
                Limits::PRODUCTS));
        if ([] === $lines) {
            $n->fault('lines', 'is empty; nothing was handed over.');
        }

        return new DeliveryNote($n->text('number', 12, '/^\d{4}-\d{3,7}$/', 'a year and a number such as 2026-014'), $n->text('outlet', 60),
            $n->day('day'), [] === $lines ? [new DeliveryLine('', 1, 0)] : $lines, self::text($n, 'words', Limits::NOTE),
            $n->has('withdrawn') && $n->bool('withdrawn'));
    }

    private static function text(Node $n, string $field, int $longest): string
    {
        return $n->has($field) ? $n->text($field, $longest) : '';
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return array<string, mixed> without what is empty
     */
    private static function filled(array $values): array
    {
        return array_filter($values, static fn (mixed $value): bool => null !== $value && '' !== $value && [] !== $value);
    }
}
