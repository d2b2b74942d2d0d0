<?php

declare(strict_types=1);

namespace App\Demo;

use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Sale\DeliveryNote;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\Price;

/** Moves orders, prices, market days, boxes and delivery notes by whole weeks. */
final class MarketShift
{
    public static function of(MarketBook $m, int $days): MarketBook
    {
        return new MarketBook(
            array_map(static fn (Order $o): Order => new Order($o->key, $o->outlet, $o->product, $o->day->plus($days), $o->quantity,
                $o->kind,
                $o->until?->plus($days), $o->who, $o->words), $m->orders),
            array_values($m->terms),
            array_map(static fn (Price $p): Price => new Price($p->key, $p->outlet, $p->product, $p->each, $p->from?->plus($days),
                $p->until?->plus($days), $p->many, $p->forMany, $p->size), $m->prices),
            array_map(static fn (MarketDay $d): MarketDay => new MarketDay($d->outlet, $d->day->plus($days), $d->lines, $d->weather,
                $d->isHoliday, $d->cents, $d->words), $m->days),
            $m->sizes,
            array_map(static fn (BoxWeek $b): BoxWeek => new BoxWeek($b->outlet, $b->day->plus($days), $b->contents), $m->boxes),
            array_values($m->mixes), $m->gluts, array_map(static fn (DeliveryNote $n): DeliveryNote => new DeliveryNote($n->number,
                $n->outlet, $n->day->plus($days), $n->lines, $n->words, $n->isWithdrawn), $m->notes));
    }
}
