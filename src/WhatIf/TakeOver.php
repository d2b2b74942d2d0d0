<?php

declare(strict_types=1);

namespace App\WhatIf;

use App\Log\ChangeLog;
use App\Promise\PromiseEntry;
use App\Rows\BedRecord;
use App\Rows\GardenRecord;
use App\Rows\OutletRecord;
use App\Rows\PartRecord;
use App\Rows\ProductRecord;
use App\Rows\PromiseRecord;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;

/** What a copy asks for comes into the garden it was made of: outlets, products, promises from today on, rules, beds out of use. */
final readonly class TakeOver
{
    public function __construct(private Snapshot $snapshot, private ChangeLog $log, private EntityManagerInterface $entities,
        private PromiseEntry $promises)
    {
    }

    /** @return bool whether anything was different */
    public function take(Visit $visit, string $copy, string $words): bool
    {
        $from = $this->snapshot->of($copy);
        $garden = $this->snapshot->of($visit->gardenId);

        return $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $garden, $from): int {
            $outlets = $this->outlets($visit->gardenId, $garden, $from);
            $products = $this->products($visit->gardenId, $garden, $from);

            return \count($outlets) + \count($products) + $this->promised($visit->gardenId, $garden, $from)
                + $this->promisedAnew($visit->gardenId, $garden, $from, $outlets, $products) + $this->rules($visit->gardenId, $garden,
                    $from)
                + $this->beds($visit->gardenId, $garden, $from);
        }) > 0;
    }

    /** @return array<string, string> ids of outlets that are new, by key */
    private function outlets(string $gardenId, Garden $garden, Garden $from): array
    {
        $there = array_map(static fn (Outlet $o): string => $o->key, $garden->outlets);
        $new = [];
        foreach ($from->outlets as $outlet) {
            if (!\in_array($outlet->key, $there, true)) {
                $this->entities->persist($record = new OutletRecord($gardenId, \count($there) + \count($new), $outlet));
                $new[$outlet->key] = $record->id;
            }
        }

        return $new;
    }

    /** @return array<string, string> ids of products that are new, by key */
    private function products(string $gardenId, Garden $garden, Garden $from): array
    {
        $there = array_map(static fn (Product $p): string => $p->key, $garden->products);
        $new = [];
        foreach ($from->products as $product) {
            if (!\in_array($product->key, $there, true)) {
                $this->entities->persist($record = new ProductRecord($gardenId, \count($there) + \count($new), $product));
                $new[$product->key] = $record->id;
                foreach ($product->parts as $position => $part) {
                    $this->entities->persist(new PartRecord($gardenId, $record->id, $position, $part));
                }
            }
        }

        return $new;
    }

    /** Of outlets and products there are: what is promised here and not there is promised no more; days gone by stay. */
    private function promised(string $gardenId, Garden $garden, Garden $from): int
    {
        $outlets = array_fill_keys(array_map(static fn (Outlet $o): string => $o->key, $garden->outlets), true);
        $products = array_fill_keys(array_map(static fn (Product $p): string => $p->key, $garden->products), true);
        $quantities = [];
        foreach ([[$garden, 0.0], [$from, 1.0]] as [$one, $times]) {
            foreach ($one->promises as $promise) {
                if (!$promise->day->isBefore($garden->today) && isset($outlets[$promise->outlet], $products[$promise->product])) {
                    $quantities[$promise->outlet][$promise->product][$promise->day->number] = $times * $promise->quantity;
                }
            }
        }
        $changed = 0;
        foreach ($quantities as $outlet => $byProduct) {
            $changed += $this->promises->keep($gardenId, (string) $outlet, ['quantities' => $byProduct, 'prices' => []]);
        }

        return $changed;
    }

    /**
     * To an outlet that is new, or of a product that is.
     *
     * @param array<string, string> $outlets  ids of the new ones, by key
     * @param array<string, string> $products
     */
    private function promisedAnew(string $gardenId, Garden $garden, Garden $from, array $outlets, array $products): int
    {
        $changed = 0;
        foreach ($from->promises as $promise) {
            if (!$promise->day->isBefore($garden->today) && (isset($outlets[$promise->outlet]) || isset($products[$promise->product]))) {
                $this->entities->persist(new PromiseRecord($gardenId, $outlets[$promise->outlet] ?? $this->idOf(OutletRecord::class,
                    $gardenId,
                    $promise->outlet), $products[$promise->product] ?? $this->idOf(ProductRecord::class, $gardenId, $promise->product),
                    $promise->day, $promise->quantity));
                ++$changed;
            }
        }

        return $changed;
    }

    /** @param class-string<OutletRecord|ProductRecord> $class */
    private function idOf(string $class, string $gardenId, string $key): string
    {
        return $this->entities->getRepository($class)->findOneBy(['gardenId' => $gardenId, 'key' => $key])->id
            ?? throw new \OutOfBoundsException('There is no such outlet or product.');
    }

    private function rules(string $gardenId, Garden $garden, Garden $from): int
    {
        if ($garden->settings->rules == $from->settings->rules) {
            return 0;
        }
        $record = $this->entities->find(GardenRecord::class, $gardenId) ?? throw new \OutOfBoundsException('There is no such garden.');
        $record->choose($garden->settings->ruledBy($from->settings->rules));

        return 1;
    }

    private function beds(string $gardenId, Garden $garden, Garden $from): int
    {
        $there = $from->bedsByName();
        $changed = 0;
        foreach ($garden->beds as $bed) {
            $retired = $there[$bed->name]->retired ?? null;
            if (null === $bed->retired && null !== $retired) {
                $this->entities->getRepository(BedRecord::class)->findOneBy(['gardenId' => $gardenId, 'name' => $bed->name])
                    ?->retire($retired);
                ++$changed;
            }
        }

        return $changed;
    }
}
