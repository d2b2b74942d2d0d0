<?php

declare(strict_types=1);

namespace App\Proposal;

use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\PlanFigures;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Proposal\Proposal;
use JollyFurrow\Proposal\ProposedChange;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Ways\PlantingCost;
use JollyFurrow\Working\Working;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The open proposal: kept, new, moved, dropped, each with why and its price; taken whole, in part or not at all. */
final class ProposalController extends Page
{
    public function __construct(private readonly Planner $planner)
    {
    }

    #[Route('/g/{garden}/proposal', name: 'proposal', methods: ['GET'])]
    public function look(Request $request, Visit $visit, Snapshot $snapshot, Proposals $proposals, CropBook $book,
        RecipeBook $recipes): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $open = $proposals->find($visit->gardenId, $garden);
        if (null === $open) {
            return $this->seeOther('plan', ['garden' => $visit->gardenId]);
        }

        return $this->show($request, $visit, $garden, $open, $snapshot, $book, $recipes, $open->takeable(), [], '');
    }

    #[Route('/g/{garden}/proposal', name: 'proposal_take', methods: ['POST'])]
    public function take(Request $request, Visit $visit, Snapshot $snapshot, Proposals $proposals, CropBook $book, RecipeBook $recipes,
        PlantingChanges $changes): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $open = $proposals->find($visit->gardenId, $garden);
        if (null === $open) {
            $this->addFlash('done', 'This proposal is not open any more: it was taken, discarded or drawn up anew.');

            return $this->seeOther('plan', ['garden' => $visit->gardenId]);
        }
        $entry = new Entry($request->request->all());
        $chosen = '1' === $entry->raw('all') ? $open->takeable() : array_values(array_intersect($open->takeable(),
            $entry->several('take')));
        $whole = Proposal::withCompanions($open->changes, $chosen);
        $companions = array_values(array_diff($whole, $chosen));
        $problem = match (true) {
            [] === $chosen => 'Nothing is ticked. Tick what you want to take, or discard the proposal.',
            [] !== $companions => \sprintf('%d more must go with what you ticked, because it stands where these are now. They are ticked and marked: take again, or untick both.', \count($companions)),
            default => '',
        };
        if ('' !== $problem) {
            return $this->show($request, $visit, $garden, $open, $snapshot, $book, $recipes, $whole, $companions, $problem);
        }
        $some = $open->some($chosen);
        $rest = array_values(array_diff(array_map(static fn (ProposedChange $c): string => $c->id, $open->changes), $chosen));
        try {
            $kept = $changes->keep($visit->gardenId, $visit->accountId, OpenProposal::seen($some),
                static function (Garden $now) use ($some, $open, $rest, $proposals, $visit): Replacement {
                    [$old, $new] = OpenProposal::plantings($some);
                    $proposals->leave($visit->gardenId, $rest);

                    return new Replacement($old, self::underFreeNames($now, $old, $new), \sprintf('Proposal taken%s, drawn up for %s: %s',
                        [] === $rest ? '' : ' in part', $open->scope, OpenProposal::words($some)));
                });
        } catch (Meanwhile $meanwhile) {
            return $this->show($request, $visit, $garden, $open, $snapshot, $book, $recipes, $chosen, [], $this->sayer->why($meanwhile));
        }

        return $this->kept($visit, $kept->words.'.', $this->generateUrl([] === $rest ? 'plan' : 'proposal',
            ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/proposal/drop', name: 'proposal_drop', methods: ['POST'])]
    public function drop(Visit $visit, Proposals $proposals): Response
    {
        $proposals->drop($visit->gardenId);
        $this->addFlash('done', 'The proposal is discarded. Nothing was changed; draw up again whenever you like.');

        return $this->seeOther('plan', ['garden' => $visit->gardenId]);
    }

    /**
     * A new planting keeps clear of names that were given to others meanwhile.
     *
     * @param list<Planting> $old
     * @param list<Planting> $new
     *
     * @return list<Planting>
     */
    private static function underFreeNames(Garden $garden, array $old, array $new): array
    {
        $taken = $garden->plantings->byKey();
        $own = array_fill_keys(array_map(static fn (Planting $p): string => $p->key, $old), true);
        $named = [];
        foreach ($new as $planting) {
            $key = isset($taken[$planting->key]) && !isset($own[$planting->key]) ? PlantingKey::free($planting->item, $planting->sow,
                $taken) : $planting->key;
            $taken[$key] = true;
            $named[] = $planting->but(key: $key);
        }

        return $named;
    }

    /**
     * @param list<string> $ticked
     * @param list<string> $companions
     */
    private function show(Request $request, Visit $visit, Garden $garden, OpenProposal $open, Snapshot $snapshot, CropBook $book,
        RecipeBook $recipes, array $ticked, array $companions, string $problem): Response
    {
        $cost = new PlantingCost($garden, $recipes);
        $prices = [];
        foreach ($open->changes as $change) {
            $prices[$change->id] = array_map(static fn (?Planting $p): ?Working => null === $p ? null : $cost->of($p, $book),
                ['old' => $change->old, 'new' => $change->new]);
        }

        return $this->page($request, 'plan/proposal.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $book,
            'ids' => $snapshot->plantingIds($visit->gardenId),
            'open' => $open,
            'prices' => $prices,
            'more' => array_map(static fn (array $p): float => ($p['new']->value ?? 0.0) - ($p['old']->value ?? 0.0), $prices),
            'ticked' => array_fill_keys($ticked, true),
            'companions' => array_fill_keys($companions, true),
            'problem' => $problem,
            'figures' => self::figures($garden, $open, $this->planner, $book, $recipes),
            'standing' => array_filter($garden->plantings->all(), static fn (Planting $p): bool => isset($open->kept[$p->key])
                && !$p->isOver($garden->today)),
        ], 'proposal', '' === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @return array{now: PlanFigures, then: PlanFigures} as it is, and with all that is proposed */
    private static function figures(Garden $garden, OpenProposal $open, Planner $planner, CropBook $book, RecipeBook $recipes): array
    {
        [$old, $new] = OpenProposal::plantings($open->some($open->takeable()));
        $gone = array_flip(array_map(static fn (Planting $p): string => $p->key, $old));
        $then = $garden->with([...$garden->plantings->where(static fn (Planting $p): bool => !isset($gone[$p->key])), ...$new]);

        return ['now' => PlanFigures::of($garden, $planner, $book, $recipes), 'then' => PlanFigures::of($then, $planner, $book, $recipes)];
    }
}
