<?php

declare(strict_types=1);

namespace App\Lanes;

use App\Plan\ShortList;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use App\Wall\Lane;
use App\Wall\WallView;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A lane of the wall, worked out when it is asked for; as a page of its own it is a table. */
final class LanesController extends Page
{
    #[Route('/g/{garden}/wall/lane/{lane}', name: 'wall_lane', methods: ['GET'])]
    public function lane(Request $request, Visit $visit, string $lane, Snapshot $snapshot, Planner $planner, CropBook $book,
        LaneWeeks $weeks, ShortList $short): Response
    {
        $kind = Lane::tryFrom($lane);
        if (!\in_array($kind, Lane::LATER, true)) {
            throw $this->createNotFoundException('There is no such lane.');
        }
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $view = WallView::of($request, $stand->garden, ($short->of($stand->garden, $stand->plan)[0] ?? null)?->product);
        $scale = $view->scale();
        $list = $weeks->of($kind, $visit->gardenId, Day::of($scale->end()));

        return $this->page($request, 'plan/lane.html.twig', ['visit' => $visit, 'garden' => $stand->garden, 'view' => $view,
            'lane' => $kind, 'query' => $view->query(), 'scale' => $scale, 'weeks' => $list, 'drawing' => LaneDrawing::of($list, $scale),
            'heat' => Lane::Promises === $kind ? PromiseHeat::of($stand->plan, $book, $scale) : null], 'lane');
    }
}
