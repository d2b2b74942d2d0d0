<?php

declare(strict_types=1);

namespace App\Promise;

use App\Log\ChangeLog;
use App\Rows\OutletRecord;
use App\Rows\PartRecord;
use App\Rows\ProductRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Time\Weekday;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\String\Slugger\AsciiSlugger;

/** Outlets and products. */
final class OfferController extends Page
{
    private const PARTS = 4;

    #[Route('/g/{garden}/offer', name: 'offer', methods: ['GET'])]
    public function offer(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        return $this->show($request, $visit, $snapshot, $book, Entry::fresh(), Entry::fresh());
    }

    #[Route('/g/{garden}/offer/outlet', name: 'outlet_add', methods: ['POST'])]
    public function addOutlet(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, EntityManagerInterface $entities, ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $name = $entry->text('name', 120);
        $outlet = new Outlet($this->key($entry, $name, array_map(static fn (Outlet $o): string => $o->key, $garden->outlets)), $name, Weekday::from($entry->int('weekday', 1, 7)), $entry->int('priority', 1, 99), $entry->int('pick_window_days', 0, 30), $entry->optionalInt('pick_to_sale_days', 0, 30));
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $snapshot, $book, $entry, Entry::fresh());
        }
        $log->record($visit->gardenId, $visit->accountId, 'Outlet added: '.$name, static fn () => $entities->persist(new OutletRecord($visit->gardenId, \count($garden->outlets), $outlet)));
        $this->addFlash('done', $name.' is added.');

        return $this->seeOther('offer', ['garden' => $visit->gardenId]);
    }

    #[Route('/g/{garden}/offer/product', name: 'product_add', methods: ['POST'])]
    public function addProduct(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, EntityManagerInterface $entities, ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $name = $entry->text('name', 120);
        $key = $this->key($entry, $name, array_map(static fn (Product $p): string => $p->key, $garden->products));
        $unit = $entry->text('unit', 40);
        $price = $entry->money('price');
        $parts = $this->parts($entry, $book);
        if (!$entry->isGood() || [] === $parts) {
            return $this->show($request, $visit, $snapshot, $book, Entry::fresh(), $entry);
        }
        $product = new Product($key, $name, $unit, $price, $parts);
        $log->record($visit->gardenId, $visit->accountId, 'Product added: '.$name, static function () use ($visit, $garden, $product, $entities): void {
            $record = new ProductRecord($visit->gardenId, \count($garden->products), $product);
            $entities->persist($record);
            foreach ($product->parts as $position => $part) {
                $entities->persist(new PartRecord($visit->gardenId, $record->id, $position, $part));
            }
        });
        $this->addFlash('done', $name.' is added.');

        return $this->seeOther('offer', ['garden' => $visit->gardenId]);
    }

    /** @return list<Part> */
    private function parts(Entry $entry, CropBook $book): array
    {
        $parts = [];
        for ($i = 0; $i < self::PARTS; ++$i) {
            if ('' !== $entry->raw('item'.$i) || '' !== $entry->raw('units'.$i)) {
                $parts[] = new Part($entry->oneOf('item'.$i, array_map(static fn (Crop $c): string => $c->key, $book->sold())), $entry->float('units'.$i, 0.001, 100_000));
            }
        }
        if ([] === $parts) {
            $entry->fault('item0', 'Choose at least one crop the product is made of, and how much of it.');
        }

        return $parts;
    }

    /** @param list<string> $taken */
    private function key(Entry $entry, string $name, array $taken): string
    {
        $key = substr((new AsciiSlugger())->slug($name)->lower()->toString(), 0, 60);
        if ('' === $key || \in_array($key, $taken, true)) {
            $entry->fault('name', '' === $key ? 'Use at least one letter or digit.' : 'There is one of this name already.');
        }

        return $key;
    }

    private function show(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, Entry $outlet, Entry $product): Response
    {
        $good = $outlet->isGood() && $product->isGood();

        return $this->page($request, 'promise/offer.html.twig', [
            'visit' => $visit,
            'garden' => $snapshot->of($visit->gardenId),
            'crops' => $book,
            'outlet' => $outlet,
            'product' => $product,
            'weekdays' => Weekday::cases(),
            'slots' => range(0, self::PARTS - 1),
        ], 'offer', $good ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
