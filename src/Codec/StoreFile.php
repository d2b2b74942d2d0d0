<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Storage\StoreKind;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Treatment\Spray;
use JollyFurrow\Treatment\SprayBook;

/** Places, harvests, what became of them, loggers' days and treatments, as they stand in a garden file and in the database. */
final class StoreFile
{
    private const KEY = '/^[a-z0-9][a-z0-9@#\/.-]{0,79}$/';
    private const PLACE = '/^[a-z0-9-]{1,36}$/';
    private const MOST = 100_000_000;

    /** @return array<string, mixed> empty where there is nothing to write */
    public static function values(StoreBook $store, SprayBook $sprays): array
    {
        return array_filter(['stores' => array_map(static fn (StorePlace $p): array => ['key' => $p->key, 'name' => $p->name,
            ...self::placeValues($p)], $store->places),
            'harvests' => array_map(static fn (HarvestLot $h): array => self::filled(['key' => $h->key, 'day' => $h->day->iso(),
                'bed' => $h->bed, 'planting' => $h->planting]) + self::lotValues($h), $store->harvests),
            'handlings' => array_map(static fn (Handling $h): array => ['key' => $h->key, 'lot' => $h->lot, 'day' => $h->day->iso(),
                ...self::handlingValues($h)], $store->handlings),
            'store_days' => array_map(static fn (PlaceDay $d): array => ['store' => $d->place, 'day' => $d->day->iso(),
                ...self::dayValues($d)], $store->days),
            'sprays' => array_map(static fn (Spray $s): array => ['key' => $s->key, 'day' => $s->day->iso(), 'beds' => $s->beds,
                ...self::sprayValues($s)], $sprays->sprays),
        ], static fn (array $list): bool => [] !== $list);
    }

    /** @param list<string> $beds */
    public static function read(Node $node, array $beds): StoreBook
    {
        $places = array_map(self::place(...), self::objects($node, 'stores', Limits::STORES));
        $harvests = array_map(static fn (Node $n): HarvestLot => self::lot($n, self::known($n, 'bed', $beds)), self::objects($node,
            'harvests', Limits::HARVESTS));
        $lots = array_map(static fn (HarvestLot $h): string => $h->key, $harvests);
        $keys = array_map(static fn (StorePlace $p): string => $p->key, $places);

        return new StoreBook($places, $harvests, array_map(static fn (Node $n): Handling => self::handling($n, self::known($n, 'lot',
            $lots)), self::objects($node, 'handlings', Limits::HANDLINGS)), array_map(static fn (Node $n): PlaceDay => self::day($n,
                self::known($n, 'store', $keys)), self::objects($node, 'store_days', Limits::STORE_DAYS)));
    }

    /** @param list<string> $beds */
    public static function sprays(Node $node, array $beds): SprayBook
    {
        return new SprayBook(array_map(static fn (Node $n): Spray => self::spray($n, array_values(array_intersect($n->texts('beds',
            Limits::BEDS, 60), $beds))), self::objects($node, 'sprays', Limits::SPRAYS)));
    }

    /** @return array<string, mixed> */
    public static function placeValues(StorePlace $p): array
    {
        return self::filled(['kind' => $p->kind->value, 'celsius' => $p->celsius, 'humidity' => $p->humidity, 'crates' => $p->crates]);
    }

    public static function place(Node $n): StorePlace
    {
        return new StorePlace($n->text('key', 36, self::PLACE, 'a key of its own'), $n->text('name', 60), $n->choice('kind',
            StoreKind::class), $n->float('celsius', -5, 45), $n->int('humidity', 5, 100), $n->optionalInt('crates', 0, 100_000));
    }

    /** @return array<string, mixed> */
    public static function lotValues(HarvestLot $h): array
    {
        return self::filled(['item' => $h->item, 'variety' => $h->variety, 'grade' => $h->grade->value, 'hundredths' => $h->hundredths,
            'minutes' => $h->minutes, 'who' => $h->who, 'flaws' => array_map(static fn (Flaw $f): string => $f->value, $h->flaws),
            'store' => $h->place, 'words' => $h->words,
            'use' => HarvestUse::Usual === $h->use ? '' : $h->use->value]);
    }

    public static function lot(Node $n, string $bed): HarvestLot
    {
        $flaws = $n->has('flaws') ? array_values(array_filter(array_map(Flaw::tryFrom(...), $n->texts('flaws', 4, 20)))) : [];

        return new HarvestLot($n->text('key', 80, self::KEY, 'a key of its own'), $n->day('day'), $n->text('item', 60),
            $n->text('variety', 60), self::text($n, 'planting', 120), $bed, $n->choice('grade', Grade::class), $n->int('hundredths', 0,
                self::MOST), $n->optionalInt('minutes', 0, 10_000), self::text($n, 'who', 60), $flaws, self::text($n, 'store', 36),
            self::text($n, 'words', Limits::NOTE), $n->has('use') ? $n->choice('use', HarvestUse::class) : HarvestUse::Usual);
    }

    /** @return array<string, mixed> */
    public static function handlingValues(Handling $h): array
    {
        return self::filled(['kind' => $h->kind->value, 'hundredths' => $h->hundredths, 'from' => $h->from, 'to' => $h->to,
            'words' => $h->words]);
    }

    public static function handling(Node $n, string $lot): Handling
    {
        return new Handling($n->text('key', 80, self::KEY, 'a key of its own'), $lot, $n->day('day'), $n->choice('kind',
            HandlingKind::class), $n->int('hundredths', 0, self::MOST), self::text($n, 'from', 36), self::text($n, 'to', 60),
            self::text($n, 'words', Limits::NOTE));
    }

    /** @return array<string, mixed> */
    public static function dayValues(PlaceDay $d): array
    {
        return self::filled(['celsius' => $d->celsius, 'low' => $d->low, 'high' => $d->high, 'humidity' => $d->humidity]);
    }

    public static function day(Node $n, string $place): PlaceDay
    {
        return new PlaceDay($place, $n->day('day'), $n->float('celsius', -40, 60), $n->float('low', -40, 60), $n->float('high', -40, 60),
            $n->has('humidity') ? $n->float('humidity', 0, 100) : null);
    }

    /** @return array<string, mixed> */
    public static function sprayValues(Spray $s): array
    {
        return self::filled(['product' => $s->product, 'wait_days' => $s->wait, 'reentry_days' => $s->reentry, 'mode' => $s->mode,
            'who' => $s->who, 'licence' => $s->licence, 'words' => $s->words]);
    }

    /** @param list<string> $beds */
    public static function spray(Node $n, array $beds): Spray
    {
        return new Spray($n->text('key', 36, self::PLACE, 'a key of its own'), $n->day('day'), $beds, $n->text('product', 120),
            $n->int('wait_days', 0, 1000), $n->int('reentry_days', 0, 1000), self::text($n, 'mode', 60), self::text($n, 'who', 60),
            self::text($n, 'licence', 80), self::text($n, 'words', Limits::NOTE));
    }

    private static function text(Node $n, string $field, int $longest): string
    {
        return $n->has($field) ? $n->text($field, $longest) : '';
    }

    /** @param list<string> $known */
    private static function known(Node $n, string $field, array $known): string
    {
        $name = self::text($n, $field, 80);
        if ('' !== $name && !\in_array($name, $known, true)) {
            $n->fault($field, 'is not in this file.');
        }

        return $name;
    }

    /** @return list<Node> */
    private static function objects(Node $node, string $field, int $most): array
    {
        return $node->has($field) ? array_values($node->objects($field, $most)) : [];
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
