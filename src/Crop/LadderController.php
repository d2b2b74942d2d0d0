<?php

declare(strict_types=1);

namespace App\Crop;

use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Ladder\SchoolsSideBySide;
use JollyFurrow\Ladder\VarietyLadder;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The varieties of one crop put into the ground on one day, and the schools of succession side by side. */
final class LadderController extends Page
{
    #[Route('/g/{garden}/crops/{crop}/ladder', name: 'ladder', methods: ['GET'])]
    public function ladder(Request $request, Visit $visit, string $crop, Snapshot $snapshot, CropBook $book, RecipeBook $recipes,
        Planner $planner): Response
    {
        if (!$book->has($crop)) {
            throw $this->createNotFoundException('The crop book has no such crop.');
        }
        $garden = $snapshot->of($visit->gardenId);
        $item = $book->get($book->get($crop)->item());
        $entry = new Entry($request->query->has('day') ? $request->query->all() : []);
        $places = array_values(array_filter(PlaceType::cases(), static fn (PlaceType $place): bool => [] !== array_filter($book->varietiesOf($item->key), static fn ($c): bool => \in_array($place, $c->places(), true))));
        $place = $entry->isBegun() ? $entry->choice('place', PlaceType::class) : ($places[0] ?? PlaceType::Field);
        $day = $entry->isBegun() ? $entry->day('day') : LadderChart::usualDay($garden, $item, $place);
        $ladder = $entry->isGood() ? VarietyLadder::of($garden, $book, $recipes, $item->key, $day, $place) : null;

        return $this->page($request, 'crop/ladder.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crop' => $item,
            'crops' => $book,
            'entry' => $entry,
            'day' => $day,
            'place' => $place,
            'places' => $places,
            'ladder' => $ladder,
            'chart' => null === $ladder ? null : LadderChart::of($ladder, $day),
            'schools' => $request->query->getBoolean('schools') ? SchoolsSideBySide::of($planner, $garden, $item->key) : null,
            'method' => VarietyLadder::method($item),
        ], 'ladder', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
