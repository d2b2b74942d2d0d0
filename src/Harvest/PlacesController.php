<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\FreeKey;
use App\Shared\Page;
use App\Shared\Visit;
use App\Storage\StoreKeeper;
use App\Storage\StorePlaceRecord;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\StorePlace;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Rooms, clamps and shelves where produce lies. */
final class PlacesController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly ChangeLog $log,
        private readonly StoreKeeper $keeper, private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/places', name: 'places', methods: ['GET'])]
    public function places(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $place = $garden->store->place($request->query->getString('place'));

        return $this->show($request, $visit, $garden, $place, $this->forms->fresh(PlaceType::class, null === $place ? new PlaceData()
            : PlaceData::of($place)));
    }

    #[Route('/g/{garden}/places', name: 'places_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $was = $garden->store->place($request->request->getString('place'));
        $typed = null === $was ? new PlaceData() : PlaceData::of($was);
        $form = $this->forms->sent($request, PlaceType::class, $typed);
        if (null === $was && \count($garden->store->places) >= Limits::STORES) {
            Forms::fault($form, 'name', \sprintf('At most %d places fit here.', Limits::STORES));
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $was, $form);
        }
        $place = $typed->place($was->key ?? self::free($garden, $typed->name));
        $words = \sprintf('%s, a place for produce', $place->name);
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->keeper->place($visit->gardenId, $place));

        return $this->kept($visit, $words.'.', $this->generateUrl('places', ['garden' => $visit->gardenId]));
    }

    /** Only where nothing ever lay: what lots tell of stays. */
    #[Route('/g/{garden}/places/delete', name: 'places_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $place = $garden->store->place($request->request->getString('place')) ?? throw $this->createNotFoundException('No such place.');
        if (self::isUsed($garden, $place)) {
            $form = $this->forms->fresh(PlaceType::class, PlaceData::of($place))->submit([], false);
            Forms::fault($form, 'name', 'Lots have lain here; what became of them would be lost.');

            return $this->show($request, $visit, $garden, $place, $form);
        }
        $words = \sprintf('%s taken away', $place->name);
        $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $place): void {
            $row = $this->entities->getRepository(StorePlaceRecord::class)->findOneBy(['gardenId' => $visit->gardenId,
                'key' => $place->key]);
            null === $row ?: $this->entities->remove($row);
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('places', ['garden' => $visit->gardenId]));
    }

    private static function isUsed(Garden $garden, StorePlace $place): bool
    {
        return [] !== array_filter($garden->store->harvests, static fn (HarvestLot $l): bool => $l->place === $place->key)
            || [] !== array_filter($garden->store->handlings, static fn (Handling $h): bool => $h->to === $place->key)
            || [] !== array_filter($garden->store->days, static fn ($d): bool => $d->place === $place->key);
    }

    private static function free(Garden $garden, string $name): string
    {
        return FreeKey::of($name, 'place', static fn (string $key): bool => null !== $garden->store->place($key));
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, ?StorePlace $place, FormInterface $form): Response
    {
        return $this->page($request, 'harvest/places.html.twig', ['visit' => $visit, 'garden' => $garden, 'place' => $place,
            'form' => $form->createView()], 'places', Forms::status($form));
    }
}
