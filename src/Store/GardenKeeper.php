<?php

declare(strict_types=1);

namespace App\Store;

use App\Diary\DiaryKeeper;
use App\Links\SecretLinks;
use App\Log\ChangeLog;
use App\Rows\BedRecord;
use App\Rows\BlockRecord;
use App\Rows\GardenRecord;
use App\Rows\GardenRow;
use App\Rows\Member;
use App\Rows\OutletRecord;
use App\Rows\OwnRecipeRecord;
use App\Rows\OwnValueRecord;
use App\Rows\PartRecord;
use App\Rows\PastCropRecord;
use App\Rows\PracticeRecord;
use App\Rows\ProductRecord;
use App\Rows\PromiseRecord;
use App\Rows\ProtectionRecord;
use App\Sale\MarketKeeper;
use App\Shared\Role;
use App\Soil\SoilKeeper;
use App\Storage\StoreKeeper;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Product;

/** Stores a whole garden as a new one. */
final readonly class GardenKeeper
{
    public function __construct(private EntityManagerInterface $entities, private ChangeLog $log, private PlantingKeeper $plantings,
        private ClimateKeeper $climate, private SecretLinks $links,
        private DiaryKeeper $diary, private SoilKeeper $soil, private StoreKeeper $store,
        private MarketKeeper $market)
    {
    }

    /** @return string the new garden's id */
    public function begin(Garden $garden, string $ownerId, string $words): string
    {
        $id = GardenRow::newId();
        $this->entities->wrapInTransaction(function () use ($id, $garden, $ownerId, $words): void {
            $this->entities->persist(new GardenRecord($id, $garden->name, $garden->place, $garden->settings));
            $this->entities->persist(new Member($id, $ownerId, Role::Owner));
            $beds = $this->beds($id, $garden);
            $this->promises($id, $garden);
            $this->plantings->replace($id, [], $garden->plantings->all(), $beds);
            $this->plantings->note($id, $garden->notes);
            $this->climate->keep($id, $garden->climate);
            $this->climate->read($id, $garden->climate->measured, 'file');
            foreach ($garden->protections as $protection) {
                $this->kept(new ProtectionRecord($id, $beds[$protection->bed] ?? null, $protection));
            }
            foreach ($garden->recipes as $recipe) {
                $this->kept(new OwnRecipeRecord($id, $recipe));
            }
            foreach ($garden->own as $value) {
                $this->kept(new OwnValueRecord($id, $value));
            }
            $this->soil->begin($id, $garden->soil);
            $this->store->begin($id, $garden->store, $garden->sprays);
            $this->market->begin($id, $garden->market);
            $this->diary->begin($id, $garden->diary);
            null === $garden->practice ?: $this->kept(new PracticeRecord($id, $garden->practice, $garden->today, 1));
            $this->links->revokePasswordLinks($ownerId);
            $this->log->note($id, $ownerId, $words);
        });

        return $id;
    }

    /** @return array<string, string> bed name => id */
    private function beds(string $id, Garden $garden): array
    {
        $blocks = [];
        foreach ($garden->blocks as $position => $name) {
            $blocks[$name] = $this->kept(new BlockRecord($id, $name, $position));
        }
        $beds = [];
        foreach ($garden->beds as $bed) {
            $beds[$bed->name] = $this->kept(new BedRecord($id, $blocks[$bed->block], $bed));
        }
        foreach ($garden->history as $past) {
            $this->kept(new PastCropRecord($id, $beds[$past->stretch->bed], $past));
        }

        return $beds;
    }

    private function promises(string $id, Garden $garden): void
    {
        $outlets = [];
        foreach ($garden->outlets as $position => $outlet) {
            $outlets[$outlet->key] = $this->kept(new OutletRecord($id, $position, $outlet));
        }
        $products = [];
        foreach ($garden->products as $position => $product) {
            $products[$product->key] = $this->kept(new ProductRecord($id, $position, $product));
        }
        array_map(fn (Product $product) => $this->parts($id, $products[$product->key], $product), $garden->products);
        foreach ($garden->promises as $promise) {
            $this->kept(new PromiseRecord($id, $outlets[$promise->outlet], $products[$promise->product], $promise->day,
                $promise->quantity));
        }
    }

    private function parts(string $id, string $productId, Product $product): void
    {
        foreach ($product->parts as $position => $part) {
            $this->kept(new PartRecord($id, $productId, $position, $part));
        }
    }

    private function kept(GardenRow $row): string
    {
        $this->entities->persist($row);

        return $row->id;
    }
}
