<?php

declare(strict_types=1);

namespace App\Plan;

use App\Account\Visit;
use App\Garden\Snapshot;
use App\Plan\Wall\Scale;
use App\Plan\Wall\SupplyStrip;
use App\Plan\Wall\WallDrawing;
use App\Shared\Page;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Promise\Product;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class WallController extends Page
{
    private const WEEKS = 52;
    /** A season is shown from the first of March. */
    private const SEASON_MONTH = 3;

    #[Route('/g/{garden}/wall', name: 'wall', methods: ['GET'])]
    public function wall(Request $request, Visit $visit, Snapshot $snapshot, Planner $planner, CropBook $book, WallDrawing $drawing, SupplyStrip $supply, ShortList $short): Response
    {
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $garden = $stand->garden;
        $season = $this->season($request, $garden);
        $scale = Scale::from(Day::fromDate($season, self::SEASON_MONTH, 1), self::WEEKS);
        $block = \in_array($request->query->getString('block'), $garden->blocks, true) ? $request->query->getString('block') : '';
        $shorts = $short->of($garden, $stand->plan);
        $product = $this->product($request, $garden, $shorts[0]['product'] ?? null);
        $place = PlaceType::tryFrom($request->query->getString('place')) ?? PlaceType::Field;
        $weeks = null === $product ? [] : $supply->weeks($garden, $stand->plan, $product);

        return $this->page($request, 'plan/wall.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'season' => $season,
            'seasons' => range($season - 1, $season + 1),
            'scale' => $scale,
            'rows' => $drawing->rows($garden, $stand->expected, $snapshot->plantingIds($visit->gardenId), $scale, $block),
            'axis' => $drawing->axis($garden, $scale),
            'block' => $block,
            'product' => $product,
            'place' => $place,
            'places' => array_values(array_filter(PlaceType::cases(), static fn (PlaceType $p): bool => $garden->metresOf($p) > 0.0)),
            'weeks' => $weeks,
            'bars' => $supply->drawing($weeks, $scale),
            'total' => Length::fromMetres($garden->metresOf($place)),
            'free' => $supply->free($garden, $place, $scale),
            'short' => $shorts,
            'kept' => number_format(100 * $stand->plan->keptShare(), 1),
            'query' => array_filter(['season' => $request->query->getString('season'), 'block' => $block, 'product' => $product?->key, 'place' => PlaceType::Field === $place ? '' : $place->value]),
        ], 'wall');
    }

    private function season(Request $request, Garden $garden): int
    {
        $typed = $request->query->getInt('season');
        $today = $garden->today;

        return $typed >= 1950 && $typed <= 2150 ? $typed : ($today->month() < self::SEASON_MONTH ? $today->year() - 1 : $today->year());
    }

    private function product(Request $request, Garden $garden, ?string $worst): ?Product
    {
        foreach ([$request->query->getString('product'), $worst] as $key) {
            foreach ($garden->products as $product) {
                if ($product->key === $key) {
                    return $product;
                }
            }
        }

        return $garden->products[0] ?? null;
    }
}
