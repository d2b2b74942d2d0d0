<?php

declare(strict_types=1);

namespace App\Plan;

use App\Log\ChangeLog;
use App\Rows\GardenRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Keeping;
use JollyFurrow\Garden\Lengths;
use JollyFurrow\Garden\ReserveWay;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Garden\Weights;
use JollyFurrow\Land\Paths;
use JollyFurrow\Maturity\Odds;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Why\WishCost;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Rules and weights a plan is drawn up by. */
final class RulesController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $book, private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/rules', name: 'rules', methods: ['GET'])]
    public function rules(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->snapshot->of($visit->gardenId), Entry::fresh());
    }

    #[Route('/g/{garden}/rules', name: 'rules_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, ChangeLog $log, EntityManagerInterface $entities): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $rules = (new RulesForm($garden, $this->book, $this->recipes))->read($entry);
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $log->record($visit->gardenId, $visit->accountId, 'Rules and weights of the plan changed', static function () use ($visit,
            $entities, $garden, $rules): void {
            $record = $entities->find(GardenRecord::class, $visit->gardenId) ?? throw new \OutOfBoundsException('There is no such garden.');
            $record->choose($garden->settings->ruledBy($rules));
        });

        return $this->kept($visit, 'The rules are saved. The next plan is drawn up by them; what is planned stays until then.',
            $this->generateUrl('rules', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/rules/cost', name: 'wishes_cost', methods: ['GET'])]
    public function cost(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);

        return $this->page($request, 'plan/wishes_cost.html.twig', ['visit' => $visit, 'garden' => $garden,
            'costs' => WishCost::all($garden, $this->book, $this->recipes)], 'wishes');
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        $form = new RulesForm($garden, $this->book, $this->recipes);

        return $this->page($request, 'plan/rules.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'entry' => $entry,
            'filled' => $form->filled(),
            'rows' => $form->rows($entry),
            'groups' => $form->groups(),
            'families' => $form->families(),
            'recipes' => $this->recipes->all(),
            'crops' => $this->book->sold(),
            'odds' => array_combine(array_map(static fn (Odds $o): string => $o->value, Odds::toPlanBy()),
                array_map($this->sayer->word(...), Odds::toPlanBy())),
            'schools' => array_column(array_map(static fn (SuccessionSchool $c): array => [$c->value, $c->words()],
                SuccessionSchool::cases()), 1, 0),
            'lengths' => array_column(array_map(static fn (Lengths $c): array => [$c->value, $c->words()], Lengths::cases()), 1, 0),
            'ways' => array_column(array_map(static fn (ReserveWay $c): array => [$c->value, $c->words()], ReserveWay::cases()), 1, 0),
            'paths' => array_column(array_map(static fn (Paths $c): array => [$c->value, $c->words()], Paths::cases()), 1, 0),
            'keepings' => array_column(array_map(static fn (Keeping $c): array => [$c->value, $c->words()], Keeping::cases()), 1, 0),
            'methods' => ['' => 'whichever costs less',
                ...array_column(array_map(fn (Method $c): array => [$c->value, $this->sayer->word($c)], Method::cases()), 1, 0)],
            'weights' => Weights::NAMES,
            'whys' => Weights::WHY,
        ], 'rules', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
