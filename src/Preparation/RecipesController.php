<?php

declare(strict_types=1);

namespace App\Preparation;

use App\Books\GardenRecipes;
use App\Log\ChangeLog;
use App\Rows\OwnRecipeRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Recipe\Tools;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\String\Slugger\AsciiSlugger;

/** Preparation recipes: those that ship to look at and copy, the garden's own to change. */
final class RecipesController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly RecipeBook $recipes,
        private readonly GardenRecipes $books, private readonly CropBook $crops, private readonly ChangeLog $log,
        private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/recipes', name: 'recipes', methods: ['GET'])]
    public function list(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);

        return $this->page($request, 'preparation/recipes.html.twig', ['visit' => $visit, 'garden' => $garden,
            'recipes' => $this->recipes->all(), 'own' => array_flip(array_map(static fn (Recipe $r): string => $r->key,
                $garden->recipes)), 'used' => array_count_values(array_map(static fn (Planting $p): string => $p->recipe,
                    $garden->plantings->all()))], 'recipes');
    }

    #[Route('/g/{garden}/recipes/{recipe}', name: 'recipe', methods: ['GET'])]
    public function form(Request $request, Visit $visit, string $recipe): Response
    {
        return $this->show($request, $visit, $this->found($recipe), Entry::fresh(), '');
    }

    /** A recipe that ships is copied under a key of its own; an own one is changed. */
    #[Route('/g/{garden}/recipes/{recipe}', name: 'recipe_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, string $recipe): Response
    {
        $found = $this->found($recipe);
        $entry = new Entry($request->request->all());
        $key = $this->books->shipped()->has($recipe) ? $this->free($entry->raw('name')) : $recipe;
        $read = RecipeForm::read($entry, $key);
        if (null === $read) {
            return $this->show($request, $visit, $found, $entry, '');
        }
        $this->log->record($visit->gardenId, $visit->accountId, \sprintf('Recipe %s', $read->name), function () use ($visit, $read): void {
            $record = $this->record($visit->gardenId, $read->key);
            null === $record ? $this->entities->persist(new OwnRecipeRecord($visit->gardenId, $read)) : $record->become($read);
        });

        return $this->kept($visit, \sprintf('Recipe %s is saved. Plantings keep the days they were planned with.', $read->name),
            $this->generateUrl('recipes', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/recipes/{recipe}/away', name: 'recipe_away', methods: ['POST'])]
    public function away(Request $request, Visit $visit, string $recipe): Response
    {
        $found = $this->found($recipe);
        $record = $this->record($visit->gardenId, $recipe);
        $use = $this->use($this->snapshot->of($visit->gardenId), $recipe);
        if (null === $record || '' !== $use) {
            return $this->show($request, $visit, $found, Entry::fresh(), null === $record ? 'A recipe that ships stays.' : $use);
        }
        $this->log->record($visit->gardenId, $visit->accountId, \sprintf('Recipe %s taken away', $found->name), fn () => $this->entities->remove($record));

        return $this->kept($visit, \sprintf('Recipe %s is taken away.', $found->name), $this->generateUrl('recipes',
            ['garden' => $visit->gardenId]));
    }

    private function found(string $recipe): Recipe
    {
        return $this->recipes->has($recipe) ? $this->recipes->get($recipe)
            : throw $this->createNotFoundException('There is no such recipe.');
    }

    private function record(string $gardenId, string $key): ?OwnRecipeRecord
    {
        return $this->entities->getRepository(OwnRecipeRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $key]);
    }

    /** Who still needs it, in words; empty: nobody. */
    private function use(Garden $garden, string $recipe): string
    {
        $plantings = array_filter($garden->plantings->all(), static fn (Planting $p): bool => $p->recipe === $recipe);
        $crops = array_values(array_filter($this->crops->entries(), static fn (Crop $c): bool => $c->recipe === $recipe));

        return match (true) {
            $garden->settings->recipe === $recipe => 'It is the garden\'s usual recipe; choose another in the settings first.',
            [] !== $crops => \sprintf('%s is made ready by it; change that crop first.', $crops[0]->name),
            [] !== $plantings => \sprintf('%d plantings are made ready by it, gone ones among them; it stays.', \count($plantings)),
            default => '',
        };
    }

    private function free(string $name): string
    {
        $slug = 'own-'.(new AsciiSlugger())->slug($name)->lower()->truncate(45)->trim('-')->toString();
        for ($key = $slug, $n = 2; $this->recipes->has($key); ++$n) {
            $key = $slug.'-'.$n;
        }

        return trim($key, '-');
    }

    private function show(Request $request, Visit $visit, Recipe $recipe, Entry $entry, string $problem): Response
    {
        return $this->page($request, 'preparation/recipe.html.twig', [
            'visit' => $visit,
            'garden' => $this->snapshot->of($visit->gardenId),
            'recipe' => $recipe,
            'ships' => $this->books->shipped()->has($recipe->key),
            'entry' => $entry,
            'filled' => RecipeForm::filled($recipe),
            'rows' => range(0, RecipeForm::ROWS - 1),
            'hatches' => RecipeForm::HATCHES,
            'kits' => Kit::cases(),
            'tools' => Tools::known(),
            'problem' => $problem,
        ], 'recipe', '' !== $problem ? Response::HTTP_CONFLICT : ($entry->isGood() ? Response::HTTP_OK
            : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
