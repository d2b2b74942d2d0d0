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
use JollyFurrow\Garden\GrowingSeason;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
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
        $shorts = $short->of($garden, $stand->plan);
        $view = WallView::of($request, $garden, ($shorts[0] ?? null)?->product);
        $scale = $view->scale();
        $entry = new Entry($request->query->all());
        $weeks = null === $view->product ? [] : $supply->weeks($garden, $stand->plan, $view->product);
        $colours = Colouring::of($view->colour, $garden, $book, $view->product);

        return $this->page($request, 'plan/wall.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'view' => $view,
            'season' => $view->span->season,
            'seasons' => array_map(static fn (int $year): GrowingSeason => GrowingSeason::of($garden->place->latitude, $year),
                range($view->span->season->year - 1, $view->span->season->year + 1)),
            'entry' => $entry,
            'stretch' => FreeStretch::asked($entry, $garden, $book, $scale),
            'zooms' => array_map(static fn (array $z): string => $z[2], WallSpan::ZOOMS),
            'scale' => $scale,
            'last' => $last->told($visit->gardenId, $visit->accountId),
            'sowing_days' => array_map(static fn (Weekday $w): int => $w->value, $garden->settings->sowingDays),
            'blocks' => $drawing->blocks($garden, $stand->expected, $snapshot->plantingIds($visit->gardenId), $view, $colours),
            'legend' => $colours->legend(),
            'words' => FindWords::of($garden),
            'axis' => $drawing->axis($garden, $scale),
            'places' => array_values(array_filter(PlaceType::cases(), static fn (PlaceType $p): bool => $garden->metresOf($p) > 0.0)),
            'weeks' => $weeks,
            'bars' => $supply->drawing($weeks, $scale),
            'total' => Length::fromMetres($garden->metresOf($view->place)),
            'free' => $view->shows(Lane::Free) ? $supply->free($garden, $view->place, $scale) : [],
            'tight' => $view->shows(Lane::Tight) ? $supply->tight($garden, $scale) : [],
            'short' => $shorts,
            'kept' => $stand->plan->keptShare(),
            'query' => $view->query(),
        ], 'wall', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
