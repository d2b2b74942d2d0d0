<?php

declare(strict_types=1);

namespace App\Hand;

use App\Change\PlantingChanges;
use App\Change\PlantingMark;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** One planting changed by hand: first what it would do, then Keep. */
final class ChangeController extends Page
{
    public function __construct(private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/planting/{planting}/change', name: 'change', methods: ['GET'])]
    public function tryOut(Request $request, Visit $visit, string $planting, Snapshot $snapshot, Planner $planner, CropBook $book,
        HandChange $hand): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $snapshot->planting($visit->gardenId, $planting, $garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
        $do = self::do($request->query->getString('do'));
        $entry = new Entry($request->query->has('try') ? $request->query->all() : []);
        $replacement = $entry->isBegun() ? $hand->read($entry, $garden, $found, $do) : null;
        $dryRun = null === $replacement ? null : DryRun::of($planner, $book, $garden, $replacement->old, $replacement->new);

        return $this->show($request, $visit, $book, $garden, $found, $planting, $do, $entry, $dryRun, '', $entry->isGood()
            ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    #[Route('/g/{garden}/planting/{planting}/change', name: 'change_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, string $planting, Snapshot $snapshot, Planner $planner, CropBook $book,
        HandChange $hand, PlantingChanges $changes): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $snapshot->planting($visit->gardenId, $planting, $garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
        $do = self::do($request->request->getString('do'));
        $entry = new Entry($request->request->all());
        $problem = '';
        try {
            $replacement = $changes->keep($visit->gardenId, $visit->accountId, [$found->key => $entry->raw('seen')],
                static fn (Garden $now): Replacement => $hand->read($entry, $now, $found, $do)
                ?? throw Meanwhile::notPossible('Some fields are not clear, so nothing is saved yet.'));

            return $this->kept($visit, $replacement->words.'.', [] === $replacement->new ? $this->generateUrl('wall',
                ['garden' => $visit->gardenId]) : $this->generateUrl('planting', ['garden' => $visit->gardenId, 'planting' => $planting]));
        } catch (Meanwhile $meanwhile) {
            $problem = $this->sayer->why($meanwhile);
        }
        $replacement = $entry->isGood() ? $hand->read($entry, $garden, $found, $do) : null;
        $dryRun = null === $replacement ? null : DryRun::of($planner, $book, $garden, $replacement->old, $replacement->new);

        return $this->show($request, $visit, $book, $garden, $found, $planting, $do, $entry, $dryRun, $problem, $entry->isGood()
            ? Response::HTTP_CONFLICT : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    private static function do(string $do): string
    {
        return isset(HandChange::DO[$do]) ? $do : 'move';
    }

    private function show(Request $request, Visit $visit, CropBook $book, Garden $garden, Planting $planting, string $id, string $do,
        Entry $entry, ?DryRun $dryRun, string $problem, int $status): Response
    {
        return $this->page($request, 'plan/change.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $book,
            'planting' => $planting,
            'id' => $id,
            'do' => $do,
            'ways' => HandChange::DO,
            'movable' => HandChange::movableDay($planting),
            'varieties' => $book->varietiesOf($planting->item),
            'recipes' => $this->recipes->all(),
            'entry' => $entry,
            'dry_run' => $dryRun,
            'problem' => $problem,
            'seen' => PlantingMark::of($planting),
        ], 'panel', $status);
    }
}
