<?php

declare(strict_types=1);

namespace App\Crop;

use App\Account\Visit;
use App\Garden\Snapshot;
use App\Shared\Entry;
use App\Shared\Page;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Garden\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Plan\Candidates;
use JollyFurrow\Plan\Planting;
use JollyFurrow\Plan\PlantingCost;
use JollyFurrow\Plan\Standing;
use JollyFurrow\Preparation\RecipeBook;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Up to four ways to grow side by side: crops or methods, sown on one day, over one length of bed. */
final class CompareController extends Page
{
    private const MOST = 4;
    /** Width of a bed where the garden has none of that place type, millimetres. */
    private const USUAL_WIDTH = 750;

    #[Route('/g/{garden}/compare', name: 'compare', methods: ['GET'])]
    public function compare(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, RecipeBook $recipes): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $ways = self::ways($book);
        $entry = new Entry($request->query->has('way') ? $request->query->all() : []);
        $chosen = array_values(array_filter($entry->several('way'), static fn (string $key): bool => isset($ways[$key])));
        $day = $entry->isBegun() ? $entry->day('sow') : $garden->today;
        $length = $entry->isBegun() ? $entry->length('length', $garden->settings->units->longUnit(), 0.5, 500) : Length::fromMetres(10);
        $place = $entry->isBegun() ? $entry->choice('place', PlaceType::class) : PlaceType::Field;
        if ($entry->isBegun() && ([] === $chosen || \count($chosen) > self::MOST)) {
            $entry->fault('way', [] === $chosen ? 'Choose at least one way.' : 'At most four ways stand side by side.');
        }
        $rows = $entry->isBegun() && $entry->isGood() ? array_map(static fn (string $key): array => self::row($garden, $book, $recipes, $key, $day, $length, $place), $chosen) : [];

        return $this->page($request, 'crop/compare.html.twig', ['visit' => $visit, 'garden' => $garden, 'ways' => $ways, 'chosen' => $chosen, 'entry' => $entry, 'rows' => $rows, 'most' => self::MOST], 'compare', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @return array<string, string> "crop/method" => words */
    private static function ways(CropBook $book): array
    {
        $ways = [];
        foreach ($book->all() as $crop) {
            foreach ($crop->methods() as $method) {
                $ways[$crop->key.'/'.$method->value] = $crop->name.', '.$method->words();
            }
        }
        asort($ways);

        return $ways;
    }

    /** @return array<string, mixed> */
    private static function row(Garden $garden, CropBook $book, RecipeBook $recipes, string $key, Day $sow, Length $length, PlaceType $place): array
    {
        [$cropKey, $methodKey] = explode('/', $key);
        $crop = $book->get($cropKey);
        $method = Method::from($methodKey);
        $bed = array_values(array_filter($garden->beds, static fn ($b): bool => $b->place === $place))[0] ?? null;
        $seed = SeedNeed::of($crop, $method, Spacing::inBed($crop->stand, $bed->width ?? Length::fromMillimetres(self::USUAL_WIDTH), $length));
        $way = (new Candidates($garden, $recipes))->sownOn($crop, $sow, $place, $method);
        $planting = null === $way ? null : new Planting('compared', $crop->item(), $method, $place, $way->recipe, $sow, Day::of($way->ground), Day::of($way->bedStart), Day::of($way->ready), Day::of($way->lastField), $way->perMetre, [Stretch::of('compared', 0, $length->millimetres)], Standing::Planned, false, variety: $crop->key);

        return [
            'crop' => $crop,
            'method' => $method,
            'planting' => $planting,
            'bed_days' => null === $planting ? 0 : $planting->clear->since($planting->bedStart) + 1,
            'days' => null === $planting ? 0 : $planting->ready->since($sow),
            'seed' => $seed,
            'yield' => $crop->produce->amount(floor($crop->produce->perMetre * $length->metres() + 1e-9)),
            'price' => null === $planting ? null : (new PlantingCost($garden, $recipes))->of($planting, $book),
        ];
    }
}
