<?php

declare(strict_types=1);

namespace App\Garden;

use App\Log\ChangeLog;
use App\Rows\BedRecord;
use App\Rows\PastCropRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class BedsController extends Page
{
    private const MOST_BEDS = 5000;

    #[Route('/g/{garden}/beds', name: 'beds', methods: ['GET'])]
    public function beds(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        return $this->show($request, $visit, $snapshot->of($visit->gardenId), $book, Entry::fresh(), Entry::fresh());
    }

    /** "12 beds, A1 to A12, 25 m x 75 cm, open field" in one go. */
    #[Route('/g/{garden}/beds/series', name: 'beds_add', methods: ['POST'])]
    public function addSeries(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, BedSeries $series, ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $beds = $this->series($entry, $garden);
        if (!$entry->isGood() || [] === $beds) {
            return $this->show($request, $visit, $garden, $book, $entry, Entry::fresh());
        }
        $log->record($visit->gardenId, $visit->accountId, \sprintf('%d beds added: %s to %s in block %s', \count($beds), $beds[0]->name, $beds[\count($beds) - 1]->name, $beds[0]->block), static fn (): array => $series->add($visit->gardenId, $beds, \count($garden->blocks)));
        $this->addFlash('done', \sprintf('%d beds are added.', \count($beds)));

        return $this->seeOther('beds', ['garden' => $visit->gardenId]);
    }

    #[Route('/g/{garden}/beds/past', name: 'past_crop_add', methods: ['POST'])]
    public function addPastCrop(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, EntityManagerInterface $entities, ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $past = $this->pastCrop($entry, $garden, $book);
        if (null === $past) {
            return $this->show($request, $visit, $garden, $book, Entry::fresh(), $entry);
        }
        $log->record($visit->gardenId, $visit->accountId, \sprintf('History of bed %s: %s, cleared %s', $past->stretch->bed, $past->crop, $past->cleared->iso()), static function () use ($visit, $past, $entities): void {
            $bed = $entities->getRepository(BedRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'name' => $past->stretch->bed]) ?? throw new \OutOfBoundsException('There is no such bed.');
            $entities->persist(new PastCropRecord($visit->gardenId, $bed->id, $past));
        });
        $this->addFlash('done', 'The history of bed '.$past->stretch->bed.' is noted.');

        return $this->seeOther('beds', ['garden' => $visit->gardenId]);
    }

    /** @return list<Bed> */
    private function series(Entry $entry, Garden $garden): array
    {
        $units = $garden->settings->units;
        $block = $entry->text('block', 60);
        $prefix = $entry->raw('prefix');
        if (mb_strlen($prefix) > 12) {
            $entry->fault('prefix', 'At most 12 characters fit here.');
        }
        $first = $entry->int('first', 0, 9999);
        $count = $entry->int('count', 1, 200);
        $length = $entry->length('length', $units->longUnit(), 0.5, 500);
        $width = $entry->length('width', $units->shortUnit(), 0.1, 10);
        $path = $entry->length('path', $units->shortUnit(), 0, 10);
        $place = $entry->choice('place', PlaceType::class);
        if (\count($garden->beds) + $count > self::MOST_BEDS) {
            $entry->fault('count', \sprintf('A garden has at most %d beds here.', self::MOST_BEDS));
        }
        $taken = $garden->bedsByName();
        $beds = [];
        for ($i = 0; $i < $count; ++$i) {
            $name = $prefix.($first + $i);
            if (isset($taken[$name])) {
                $entry->fault('prefix', \sprintf('There is a bed %s already. Choose other letters or another first number.', $name));
            }
            $beds[] = new Bed($name, $block, \count($garden->beds) + $i, $length, $width, $path, $place);
        }

        return $beds;
    }

    private function pastCrop(Entry $entry, Garden $garden, CropBook $book): ?PastCrop
    {
        $beds = $garden->bedsByName();
        $bed = $beds[$entry->raw('bed')] ?? null;
        if (null === $bed) {
            $entry->fault('bed', 'There is no such bed. Choose one of the list.');
        }
        $crop = $entry->oneOf('crop', $book->keys());
        $cleared = $entry->day('cleared');
        if ($garden->today->isBefore($cleared)) {
            $entry->fault('cleared', 'This day is still to come. Write the day the bed was cleared.');
        }
        $whole = null === $bed ? Length::fromMetres(1) : $bed->length;
        $from = '' === $entry->raw('from') ? Length::fromMillimetres(0) : $entry->length('from', $garden->settings->units->longUnit(), 0, $whole->metres());
        $to = '' === $entry->raw('to') ? $whole : $entry->length('to', $garden->settings->units->longUnit(), 0.1, $whole->metres());
        if ($to->millimetres <= $from->millimetres) {
            $entry->fault('to', 'The end of the stretch lies beyond its start.');
        }

        return null !== $bed && $entry->isGood() ? new PastCrop(Stretch::of($bed->name, $from->millimetres, $to->millimetres), $crop, $cleared) : null;
    }

    private function show(Request $request, Visit $visit, Garden $garden, CropBook $book, Entry $series, Entry $past): Response
    {
        $history = [];
        foreach ($garden->history as $was) {
            $history[$was->stretch->bed][] = $was;
        }

        return $this->page($request, 'garden/beds.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $book,
            'series' => $series,
            'past' => $past,
            'history' => array_map(static function (array $list): array {
                usort($list, static fn (PastCrop $a, PastCrop $b): int => $b->cleared->number <=> $a->cleared->number);

                return $list;
            }, $history),
            'places' => PlaceType::cases(),
            'totals' => array_map(static fn (PlaceType $p): array => ['place' => $p, 'length' => Length::fromMetres($garden->metresOf($p))], PlaceType::cases()),
        ], 'beds', $series->isGood() && $past->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
