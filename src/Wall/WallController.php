<?php

declare(strict_types=1);

namespace App\Wall;

use App\Log\LastChange;
use App\Plan\ShortList;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\GrowingSeason;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Promise\Product;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Weekday;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class WallController extends Page
{
    #[Route('/g/{garden}/wall', name: 'wall', methods: ['GET'])]
    public function wall(Request $request, Visit $visit, Snapshot $snapshot, Planner $planner, CropBook $book, WallDrawing $drawing,
        SupplyStrip $supply, ShortList $short, LastChange $last): Response
    {
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $garden = $stand->garden;
        $span = WallSpan::asked($request->query->getString('zoom'), $request->query->getString('from'), $garden,
            $request->query->getInt('season'));
        [$season, $scale] = [$span->season, $span->scale()];
        $entry = new Entry($request->query->all());
        $block = \in_array($request->query->getString('block'), $garden->blocks, true) ? $request->query->getString('block') : '';
        $shorts = $short->of($garden, $stand->plan);
        $product = $this->product($request, $garden, ($shorts[0] ?? null)?->product);
        $place = PlaceType::tryFrom($request->query->getString('place')) ?? PlaceType::Field;
        $weeks = null === $product ? [] : $supply->weeks($garden, $stand->plan, $product);

        return $this->page($request, 'plan/wall.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'season' => $season,
            'seasons' => array_map(static fn (int $year): GrowingSeason => GrowingSeason::of($garden->place->latitude, $year),
                range($season->year - 1, $season->year + 1)),
            'span' => $span,
            'entry' => $entry,
            'stretch' => FreeStretch::asked($entry, $garden, $book, $scale),
            'zooms' => array_map(static fn (array $z): string => $z[2], WallSpan::ZOOMS),
            'scale' => $scale,
            'last' => $last->told($visit->gardenId, $visit->accountId),
            'sowing_days' => array_map(static fn (Weekday $w): int => $w->value, $garden->settings->sowingDays),
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
            'tight' => $supply->tight($garden, $scale),
            'short' => $shorts,
            'kept' => $stand->plan->keptShare(),
            'query' => array_filter(['season' => $request->query->getString('season'), 'zoom' => 'season' === $span->zoom ? ''
                : $span->zoom,
                'from' => $request->query->getString('from'), 'block' => $block, 'product' => $product?->key,
                'place' => PlaceType::Field === $place ? '' : $place->value], static fn (?string $value): bool => '' !== ($value ?? '')),
        ], 'wall', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
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
