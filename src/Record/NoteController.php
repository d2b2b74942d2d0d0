<?php

declare(strict_types=1);

namespace App\Record;

use App\Change\PlantingChanges;
use App\Change\PlantingMark;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What really happened, noted from the bed: in parts, on another day, on another bed. */
final class NoteController extends Page
{
    #[Route('/g/{garden}/planting/{planting}/note', name: 'note', methods: ['GET'])]
    public function ask(Request $request, Visit $visit, string $planting, Snapshot $snapshot, CropBook $book): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $snapshot->planting($visit->gardenId, $planting, $garden)
            ?? throw $this->createNotFoundException('There is no such planting.');

        return $this->show($request, $visit, $garden, $book, $found, $planting, Happening::tryFrom($request->query->getString('what')),
            Entry::fresh(), '', Response::HTTP_OK, $request->query->getString('bed'));
    }

    #[Route('/g/{garden}/planting/{planting}/note', name: 'note_keep', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function keep(Request $request, Visit $visit, string $planting, Snapshot $snapshot, CropBook $book, NoteForm $form,
        PlantingChanges $changes, NoteConsequence $consequence): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $snapshot->planting($visit->gardenId, $planting, $garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
        $entry = new Entry($request->request->all());
        $note = $form->read($entry, $garden, $found);
        $problem = '';
        if (null !== $note) {
            try {
                $replacement = $changes->keep($visit->gardenId, $visit->accountId, [$found->key => $entry->raw('seen')],
                    static fn (Garden $now): Replacement => $form->replacement($entry, $now, $found, $note));

                return $this->kept($visit, $replacement->words.'.'.$consequence->of($garden, $replacement), $this->generateUrl('bed',
                    ['garden' => $visit->gardenId, 'bed' => $replacement->new[0]->pieces[0]->bed]));
            } catch (CannotBeDone $not) {
                $entry->fault($not->field, $not->said());
            } catch (Meanwhile $meanwhile) {
                $problem = $this->sayer->why($meanwhile);
            }
        }

        return $this->show($request, $visit, $garden, $book, $found, $planting, Happening::tryFrom($entry->raw('what')), $entry,
            $problem, '' === $problem ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_CONFLICT);
    }

    private function show(Request $request, Visit $visit, Garden $garden, CropBook $book, Planting $planting, string $id,
        ?Happening $what, Entry $entry, string $problem, int $status, string $at = ''): Response
    {
        $possible = FieldWork::possible($planting);
        $beds = NoteForm::beds($planting);
        $at = $entry->raw('at', $at);

        return $this->page($request, 'record/note.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'planting' => $planting,
            'id' => $id,
            'crop' => $book->grown($planting->item, $planting->variety),
            'what' => \in_array($what, $possible, true) ? $what : ($possible[0] ?? null),
            'possible' => $possible,
            'shares' => NoteForm::SHARES,
            'signs' => Sign::of($book->grown($planting->item, $planting->variety)),
            'beds' => $beds,
            'at' => \in_array($at, $beds, true) ? $at : '',
            'entry' => $entry,
            'problem' => $problem,
            'seen' => PlantingMark::of($planting),
        ], 'panel', $status);
    }
}
