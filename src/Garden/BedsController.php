<?php

declare(strict_types=1);

namespace App\Garden;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Rows\BedRecord;
use App\Rows\PastCropRecord;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\BedName;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class BedsController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly CropBook $book)
    {
    }

    #[Route('/g/{garden}/beds', name: 'beds', methods: ['GET'])]
    public function beds(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        $garden = $snapshot->of($visit->gardenId);

        return $this->show($request, $visit, $garden, $this->freshSeries(), $this->freshPast($garden));
    }

    /** "12 beds, A1 to A12, 25 m x 75 cm, open field" in one go. */
    #[Route('/g/{garden}/beds/series', name: 'beds_add', methods: ['POST'])]
    public function addSeries(Request $request, Visit $visit, Snapshot $snapshot, BedSeries $series, ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $typed = BedSeriesData::usual();
        $form = $this->forms->sent($request, BedSeriesType::class, $typed);
        $beds = $form->isValid() ? $typed->after($garden) : [];
        if (\count($garden->beds) + \count($beds) > Limits::BEDS) {
            Forms::fault($form, 'count', \sprintf('A garden has at most %d beds here.', Limits::BEDS));
        }
        $bad = [] === $beds ? null : BedName::fault($beds[\count($beds) - 1]->name);
        if (null !== $bad) {
            Forms::fault($form, 'prefix', $this->sayer->text($bad));
        }
        $taken = array_intersect_key($garden->bedsByName(), array_column($beds, null, 'name'));
        if ([] !== $taken) {
            Forms::fault($form, 'prefix', \sprintf('There is a bed %s already. Choose other letters or another first number.',
                array_key_first($taken)));
        }
        if ([] === $beds || !$form->isValid()) {
            return $this->show($request, $visit, $garden, $form, $this->freshPast($garden));
        }
        $words = \sprintf('%d beds added: %s to %s in block %s', \count($beds), $beds[0]->name, $beds[\count($beds) - 1]->name,
            $beds[0]->block);
        $log->record($visit->gardenId, $visit->accountId, $words, static fn (): array => $series->add($visit->gardenId, $beds,
            \count($garden->blocks)));
        $this->addFlash('done', \sprintf('%d beds are added.', \count($beds)));

        return $this->seeOther('beds', ['garden' => $visit->gardenId]);
    }

    #[Route('/g/{garden}/beds/past', name: 'past_crop_add', methods: ['POST'])]
    public function addPastCrop(Request $request, Visit $visit, Snapshot $snapshot, EntityManagerInterface $entities,
        ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $typed = new PastCropData($garden->today);
        $form = $this->forms->sent($request, PastCropType::class, $typed, ['garden' => $garden, 'book' => $this->book]);
        $past = $form->isValid() ? $this->pastCrop($form, $typed, $garden) : null;
        if (null === $past || !$form->isValid()) {
            return $this->show($request, $visit, $garden, $this->freshSeries(), $form);
        }
        $words = \sprintf('History of bed %s: %s, cleared %s', $past->stretch->bed, $past->crop, $this->sayer->shortDay($past->cleared));
        $log->record($visit->gardenId, $visit->accountId, $words, static function () use ($visit, $past, $entities): void {
            $of = ['gardenId' => $visit->gardenId, 'name' => $past->stretch->bed];
            $bed = $entities->getRepository(BedRecord::class)->findOneBy($of) ?? throw new \OutOfBoundsException('There is no such bed.');
            $entities->persist(new PastCropRecord($visit->gardenId, $bed->id, $past));
        });
        $this->addFlash('done', 'The history of bed '.$past->stretch->bed.' is noted.');

        return $this->seeOther('beds', ['garden' => $visit->gardenId]);
    }

    /** @param FormInterface<mixed> $form what is wrong goes to its fields */
    private function pastCrop(FormInterface $form, PastCropData $typed, Garden $garden): ?PastCrop
    {
        $bed = $garden->bedsByName()[$typed->bed];
        if ($garden->today->isBefore($typed->cleared)) {
            Forms::fault($form, 'cleared', 'This day is still to come. Write the day the bed was cleared.');
        }
        $from = $typed->from->micrometres ?? 0;
        $to = $typed->to->micrometres ?? $bed->length->micrometres;
        if ($to > $bed->length->micrometres) {
            Forms::fault($form, 'to', \sprintf('Bed %s is %s long.', $bed->name, $this->sayer->long($bed->length)));
        }
        if ($to <= $from) {
            Forms::fault($form, 'to', 'The end of the stretch lies beyond its start.');
        }

        return $form->isValid() ? new PastCrop(Stretch::of($bed->name, $from, $to), $typed->crop, $typed->cleared) : null;
    }

    /** @return FormInterface<mixed> */
    private function freshSeries(): FormInterface
    {
        return $this->forms->fresh(BedSeriesType::class, BedSeriesData::usual());
    }

    /** @return FormInterface<mixed> */
    private function freshPast(Garden $garden): FormInterface
    {
        return $this->forms->fresh(PastCropType::class, new PastCropData($garden->today->plus(-1)),
            ['garden' => $garden, 'book' => $this->book]);
    }

    /**
     * @param FormInterface<mixed> $series
     * @param FormInterface<mixed> $past
     */
    private function show(Request $request, Visit $visit, Garden $garden, FormInterface $series, FormInterface $past): Response
    {
        $history = [];
        $lastFirst = $garden->history;
        usort($lastFirst, static fn (PastCrop $a, PastCrop $b): int => $b->cleared->number <=> $a->cleared->number);
        foreach ($lastFirst as $was) {
            $history[$was->stretch->bed][] = $was;
        }
        $total = static fn (PlaceType $place): array => ['place' => $place, 'length' => Length::fromMetres($garden->metresOf($place))];

        return $this->page($request, 'garden/beds.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $this->book,
            'series' => $series->createView(),
            'past' => $past->createView(),
            'history' => $history,
            'totals' => array_map($total, PlaceType::cases()),
        ], 'beds', Forms::status($series, $past));
    }
}
