<?php

declare(strict_types=1);

namespace App\Map;

use App\Shared\Page;
use App\Shared\Paper;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wall\Colour;
use App\Wall\Colouring;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\GrowingSeason;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Product;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The garden from above on any day of a season. */
final class MapController extends Page
{
    private const WEEKS = 52;

    #[Route('/g/{garden}/map', name: 'map', methods: ['GET'])]
    public function map(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $day = MapDay::asked($request->query->getString('day'), $garden);
        $season = GrowingSeason::on($garden->place->latitude, $day);
        $first = $season->first->week()->monday();
        $last = $first->plus(7 * self::WEEKS - 1);
        $colour = Colour::tryFrom($request->query->getString('colour')) ?? Colour::Family;
        $wanted = $request->query->getString('product');
        $product = array_values(array_filter($garden->products, static fn (Product $p): bool => $p->key === $wanted))[0]
            ?? $garden->products[0] ?? null;
        $shown = $garden->plantings->where(static fn (Planting $p): bool => !$p->clear->isBefore($first)
            && !$last->isBefore($p->bedStart))->all();
        $colours = Colouring::of($colour, $garden, $book, $product);

        return $this->page($request, 'plan/map.html.twig', ['visit' => $visit, 'garden' => $garden, 'day' => $day, 'first' => $first,
            'last' => $last, 'season' => $season, 'colour' => $colour, 'product' => $product, 'legend' => $colours->legend(),
            'drawing' => MapDrawing::of($garden, $book, $shown, $colours, $day), 'standing' => MapDrawing::standing($garden, $day),
            'crops' => $book], 'map');
    }

    #[Route('/g/{garden}/map.geojson', name: 'map_geojson', methods: ['GET'])]
    public function geojson(Visit $visit, Snapshot $snapshot): Response
    {
        return Paper::file(GeoJsonFile::write($snapshot->of($visit->gardenId)), 'application/geo+json', 'map.geojson');
    }
}
