<?php

declare(strict_types=1);

namespace App\Promise;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Rows\GardenRow;
use App\Rows\OutletRecord;
use App\Rows\PartRecord;
use App\Rows\ProductRecord;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** An outlet or a product put right; or deleted, when nothing is promised of it. Its key stays, so promises stay its own. */
final class OfferEditController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot,
        private readonly EntityManagerInterface $entities, private readonly ChangeLog $log, private readonly CropBook $book)
    {
    }

    #[Route('/g/{garden}/offer/outlet/{outlet}', name: 'offer_outlet', methods: ['GET'])]
    public function outlet(Request $request, Visit $visit, string $outlet): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $one = $this->outletOf($garden, $outlet);

        return $this->show($request, $visit, $garden, $one, $this->forms->fresh(OutletType::class, OutletData::of($one),
            ['slots' => OutletData::slotsFor($one)]));
    }

    #[Route('/g/{garden}/offer/outlet/{outlet}', name: 'offer_outlet_keep', methods: ['POST'])]
    public function keepOutlet(Request $request, Visit $visit, string $outlet): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $one = $this->outletOf($garden, $outlet);
        $typed = OutletData::of($one);
        $form = $this->forms->sent($request, OutletType::class, $typed, ['slots' => OutletData::slotsFor($one)]);
        if ($form->isValid()) {
            $this->keepsWhatIsPromised($form, $typed->outlet($one->key), $garden);
        }
        self::unlikeOthers($form, $typed->name, $one->key, $garden->outlets);
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $one, $form);
        }
        $words = self::changed('Outlet', $one->name, $typed->name);
        $this->log->record($visit->gardenId, $visit->accountId, $words,
            fn () => $this->row(OutletRecord::class, $visit, $one->key)->is($typed->outlet($one->key)));

        return $this->kept($visit, $words.'.', $this->generateUrl('offer', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/offer/product/{product}', name: 'offer_product', methods: ['GET'])]
    public function product(Request $request, Visit $visit, string $product): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $one = $this->productOf($garden, $product);

        return $this->show($request, $visit, $garden, $one, $this->forms->fresh(ProductType::class, ProductData::of($one, $this->book),
            ['slots' => ProductData::slotsFor($one)]));
    }

    #[Route('/g/{garden}/offer/product/{product}', name: 'offer_product_keep', methods: ['POST'])]
    public function keepProduct(Request $request, Visit $visit, string $product): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $one = $this->productOf($garden, $product);
        $typed = ProductData::of($one, $this->book);
        $form = $this->forms->sent($request, ProductType::class, $typed, ['slots' => ProductData::slotsFor($one)]);
        self::unlikeOthers($form, $typed->name, $one->key, $garden->products);
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $one, $form);
        }
        $words = self::changed('Product', $one->name, $typed->name);
        $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $one, $typed): void {
            $row = $this->row(ProductRecord::class, $visit, $one->key);
            $is = $typed->product($one->key);
            $row->is($is);
            if ($is->parts != $one->parts) {
                $this->removeParts($visit, $row);
                foreach ($is->parts as $position => $part) {
                    $this->entities->persist(new PartRecord($visit->gardenId, $row->id, $position, $part));
                }
            }
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('offer', ['garden' => $visit->gardenId]));
    }

    /** One place up or down the list, as it stands on every page. */
    #[Route('/g/{garden}/offer/{kind}/{key}/{way}', name: 'offer_move', methods: ['POST'],
        requirements: ['kind' => 'outlet|product', 'way' => 'up|down'])]
    public function move(Visit $visit, string $kind, string $key, string $way): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $one = 'outlet' === $kind ? $this->outletOf($garden, $key) : $this->productOf($garden, $key);
        $keys = array_column($one instanceof Outlet ? $garden->outlets : $garden->products, 'key');
        $at = (int) array_search($key, $keys, true);
        array_splice($keys, $at, 1);
        array_splice($keys, max(0, $at + ('up' === $way ? -1 : 1)), 0, [$key]);
        $words = \sprintf('%s %s comes %s', ucfirst($kind), $one->name, 'up' === $way ? 'earlier' : 'later');
        $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $one, $keys): void {
            foreach ($keys as $position => $name) {
                $this->row($one instanceof Outlet ? OutletRecord::class : ProductRecord::class, $visit, $name)->standAt($position);
            }
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('offer', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/offer/{kind}/{key}/delete', name: 'offer_delete', requirements: ['kind' => 'outlet|product'], methods: ['POST'])]
    public function delete(Request $request, Visit $visit, string $kind, string $key): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $one = 'outlet' === $kind ? $this->outletOf($garden, $key) : $this->productOf($garden, $key);
        if (0 < self::promised($garden, $one)) {
            // The page says what hangs on it instead of the button.
            return 'outlet' === $kind ? $this->outlet($request, $visit, $key)->setStatusCode(Response::HTTP_UNPROCESSABLE_ENTITY)
                : $this->product($request, $visit, $key)->setStatusCode(Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $words = \sprintf('%s deleted: %s', ucfirst($kind), $one->name);
        $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $one): void {
            $row = $this->row($one instanceof Outlet ? OutletRecord::class : ProductRecord::class, $visit, $one->key);
            $row instanceof ProductRecord ? $this->removeParts($visit, $row) : null;
            $this->entities->remove($row);
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('offer', ['garden' => $visit->gardenId]));
    }

    /**
     * @param FormInterface<mixed>       $form
     * @param list<Outlet>|list<Product> $all
     */
    private static function unlikeOthers(FormInterface $form, string $name, string $key, array $all): void
    {
        foreach ($all as $other) {
            if ($other->key !== $key && mb_strtolower($other->name) === mb_strtolower($name)) {
                Forms::fault($form, 'name', 'There is one of this name already.');
            }
        }
    }

    /** @param FormInterface<mixed> $form */
    private function keepsWhatIsPromised(FormInterface $form, Outlet $is, Garden $garden): void
    {
        $lost = $is->cannotKeep($garden->promises, $garden->today);
        if ([] !== $lost) {
            Forms::fault($form, 'weekdays', \sprintf('%s on a day it would not be there, the first for %s. Delete what is promised first.',
                1 === \count($lost) ? '1 promise is made' : \count($lost).' promises are made', $this->sayer->shortDay($lost[0]->day)));
        }
    }

    private static function changed(string $what, string $was, string $is): string
    {
        return $was === $is ? \sprintf('%s changed: %s', $what, $is) : \sprintf('%s %s is called %s', $what, $was, $is);
    }

    private static function promised(Garden $garden, Outlet|Product $one): int
    {
        return \count(array_filter($garden->promises, static fn (Promise $promise): bool => $one->key
            === ($one instanceof Outlet ? $promise->outlet : $promise->product)));
    }

    private function outletOf(Garden $garden, string $key): Outlet
    {
        return array_column($garden->outlets, null, 'key')[$key] ?? throw $this->createNotFoundException('There is no such outlet.');
    }

    private function productOf(Garden $garden, string $key): Product
    {
        return array_column($garden->products, null, 'key')[$key] ?? throw $this->createNotFoundException('There is no such product.');
    }

    /**
     * @template T of GardenRow
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private function row(string $class, Visit $visit, string $key): GardenRow
    {
        return $this->entities->getRepository($class)->findOneBy(['gardenId' => $visit->gardenId, 'key' => $key])
            ?? throw new \OutOfBoundsException('It is gone.');
    }

    private function removeParts(Visit $visit, ProductRecord $product): void
    {
        foreach ($this->entities->getRepository(PartRecord::class)->findBy(['gardenId' => $visit->gardenId,
            'productId' => $product->id]) as $part) {
            $this->entities->remove($part);
        }
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, Outlet|Product $one, FormInterface $form): Response
    {
        return $this->page($request, 'promise/offer_edit.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'one' => $one,
            'kind' => $one instanceof Outlet ? 'outlet' : 'product',
            'form' => $form->createView(),
            'promised' => self::promised($garden, $one),
            'slots' => range(0, ($one instanceof Product ? ProductData::slotsFor($one) : OutletData::slotsFor($one)) - 1),
        ], 'edit', Forms::status($form));
    }
}
