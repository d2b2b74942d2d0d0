<?php

declare(strict_types=1);

namespace App\Promise;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Rows\OutletRecord;
use App\Rows\PartRecord;
use App\Rows\ProductRecord;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\String\Slugger\AsciiSlugger;

/** Outlets and products. */
final class OfferController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly CropBook $book)
    {
    }

    #[Route('/g/{garden}/offer', name: 'offer', methods: ['GET'])]
    public function offer(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        return $this->show($request, $visit, $snapshot->of($visit->gardenId));
    }

    #[Route('/g/{garden}/offer/outlet', name: 'outlet_add', methods: ['POST'])]
    public function addOutlet(Request $request, Visit $visit, Snapshot $snapshot, EntityManagerInterface $entities,
        ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $typed = new OutletData();
        $form = $this->forms->sent($request, OutletType::class, $typed);
        $key = self::key($form, $typed->name, array_column($garden->outlets, 'key'));
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, outlet: $form);
        }
        $record = new OutletRecord($visit->gardenId, \count($garden->outlets), $typed->outlet($key));
        $log->record($visit->gardenId, $visit->accountId, 'Outlet added: '.$typed->name, static fn () => $entities->persist($record));
        $this->addFlash('done', $typed->name.' is added.');

        return $this->seeOther('offer', ['garden' => $visit->gardenId]);
    }

    #[Route('/g/{garden}/offer/product', name: 'product_add', methods: ['POST'])]
    public function addProduct(Request $request, Visit $visit, Snapshot $snapshot, EntityManagerInterface $entities,
        ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $typed = new ProductData($this->book);
        $form = $this->forms->sent($request, ProductType::class, $typed);
        $key = self::key($form, $typed->name, array_column($garden->products, 'key'));
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, product: $form);
        }
        $product = $typed->product($key);
        $log->record($visit->gardenId, $visit->accountId, 'Product added: '.$typed->name, static function () use ($visit, $garden,
            $product, $entities): void {
            $record = new ProductRecord($visit->gardenId, \count($garden->products), $product);
            $entities->persist($record);
            foreach ($product->parts as $position => $part) {
                $entities->persist(new PartRecord($visit->gardenId, $record->id, $position, $part));
            }
        });
        $this->addFlash('done', $typed->name.' is added.');

        return $this->seeOther('offer', ['garden' => $visit->gardenId]);
    }

    /**
     * A key for a name; what is wrong with it goes to the form.
     *
     * @param FormInterface<mixed> $form
     * @param list<string>         $taken
     */
    private static function key(FormInterface $form, string $name, array $taken): string
    {
        $key = substr((new AsciiSlugger())->slug($name)->lower()->toString(), 0, 60);
        if ('' !== $name && ('' === $key || \in_array($key, $taken, true))) {
            Forms::fault($form, 'name', '' === $key ? 'Use at least one letter or digit.' : 'There is one of this name already.');
        }

        return $key;
    }

    /**
     * @param FormInterface<mixed>|null $outlet
     * @param FormInterface<mixed>|null $product
     */
    private function show(Request $request, Visit $visit, Garden $garden, ?FormInterface $outlet = null,
        ?FormInterface $product = null): Response
    {
        $outlet ??= $this->forms->fresh(OutletType::class, new OutletData());
        $product ??= $this->forms->fresh(ProductType::class, new ProductData($this->book));

        return $this->page($request, 'promise/offer.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $this->book,
            'outlet' => $outlet->createView(),
            'product' => $product->createView(),
            'slots' => range(0, ProductData::PARTS - 1),
            'times' => range(0, OutletData::slotsFor(null) - 1),
        ], 'offer', Forms::status($outlet, $product));
    }
}
