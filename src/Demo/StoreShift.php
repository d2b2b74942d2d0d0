<?php

declare(strict_types=1);

namespace App\Demo;

use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\Spray;
use JollyFurrow\Treatment\SprayBook;

/** Moves lots, what became of them, loggers and treatments by whole weeks; the code of a lot carries its day. */
final class StoreShift
{
    public static function store(StoreBook $store, int $days): StoreBook
    {
        return new StoreBook($store->places,
            array_map(static fn (HarvestLot $h): HarvestLot => new HarvestLot(self::code($h->key, $days), $h->day->plus($days), $h->item,
                $h->variety, SeasonShift::key($h->planting, $days), $h->bed, $h->grade, $h->hundredths, $h->minutes, $h->who, $h->flaws,
                $h->place, $h->words, $h->use), $store->harvests),
            array_map(static fn (Handling $h): Handling => new Handling(self::code($h->key, $days), self::code($h->lot, $days),
                $h->day->plus($days), $h->kind, $h->hundredths, $h->from, $h->to, $h->words), $store->handlings),
            array_map(static fn (PlaceDay $d): PlaceDay => new PlaceDay($d->place, $d->day->plus($days), $d->celsius, $d->low, $d->high,
                $d->humidity), $store->days));
    }

    public static function sprays(SprayBook $sprays, int $days): SprayBook
    {
        return new SprayBook(array_map(static fn (Spray $s): Spray => new Spray($s->key, $s->day->plus($days), $s->beds, $s->product,
            $s->wait, $s->reentry, $s->mode, $s->who, $s->licence, $s->words), $sprays->sprays));
    }

    private static function code(string $code, int $days): string
    {
        return (string) preg_replace_callback('/^(\d\d)(\d\d)(\d\d)-/', static fn (array $m): string => HarvestLot::code(
            Day::fromDate(2000 + (int) $m[1], (int) $m[2], (int) $m[3])->plus($days), '', '').'-', $code);
    }
}
