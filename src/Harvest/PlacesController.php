<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Crop\SheetFile;
use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\Entry;
use App\Shared\FreeKey;
use App\Shared\Page;
use App\Shared\Visit;
use App\Storage\StoreKeeper;
use App\Storage\StorePlaceRecord;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\LoggerFile;
use JollyFurrow\Storage\StorePlace;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
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

    /** What the logger of a place wrote; what it does not say is asked. */
    #[Route('/g/{garden}/places/logger', name: 'places_logger', methods: ['POST'])]
    public function logger(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->request->all());
        $place = $garden->store->place($entry->raw('place')) ?? throw $this->createNotFoundException('There is no such place.');
        $file = $this->fileOf($request, $entry, $place);
        if (null === $file || !$entry->isGood()) {
            return $this->show($request, $visit, $garden, null, $this->forms->fresh(PlaceType::class, new PlaceData()), $entry);
        }
        $words = \sprintf('%s: %d day%s of its logger', $place->name, \count($file->days), 1 === \count($file->days) ? '' : 's');
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->keeper->readings($visit->gardenId, $file->days));

        return $this->kept($visit, $words.([] === $file->missing ? '' : \sprintf(', %d days missing', \count($file->missing)))
            .(0 === $file->unread ? '' : \sprintf(', %d lines say nothing', $file->unread)).'.', $this->generateUrl('places',
                ['garden' => $visit->gardenId]));
    }

    /** Null: a fault is at its field. */
    private function fileOf(Request $request, Entry $entry, StorePlace $place): ?LoggerFile
    {
        $sent = $request->files->get('file');
        $bytes = $sent instanceof UploadedFile && $sent->isValid() ? (string) file_get_contents($sent->getPathname()) : $entry->raw('text');
        try {
            $rows = SheetFile::read($bytes, Limits::RECORD_ROWS);
        } catch (BadInput $bad) {
            $entry->fault('text', $this->sayer->why($bad));

            return null;
        }
        $choice = static fn (string $field, string $yes): ?bool => '' === $entry->raw($field) ? null : $yes === $entry->raw($field);
        $file = LoggerFile::read($place->key, $rows, $choice('unit', 'f'), $choice('dates', 'month-first'));
        if ($file->asksUnit) {
            $entry->fault('unit', 'No heading says whether these are °C or °F. Choose one.');
        }
        if ($file->asksDate) {
            $entry->fault('dates', 'Day and month cannot be told apart here. Choose which comes first.');
        }
        if ([] === $file->days && $entry->isGood()) {
            $entry->fault('text', 'No reading was found. The first line names the columns, such as Time, Temperature °C, Humidity %.');
        }

        return $file;
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
    private function show(Request $request, Visit $visit, Garden $garden, ?StorePlace $place, FormInterface $form,
        ?Entry $entry = null): Response
    {
        return $this->page($request, 'harvest/places.html.twig', ['visit' => $visit, 'garden' => $garden, 'place' => $place,
            'form' => $form->createView(), 'entry' => $entry ?? Entry::fresh()], 'places', null === $entry ? Forms::status($form)
                : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
