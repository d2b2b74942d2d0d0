<?php

declare(strict_types=1);

namespace App\Wall;

use App\Plan\ShortList;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\Planner;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The wall in rows: for who hears it, copies it or works without a pointer. What can be done on the wall can be done from here. */
final class WallTableController extends Page
{
    #[Route('/g/{garden}/wall/table', name: 'wall_table', methods: ['GET'])]
    public function table(Request $request, Visit $visit, Snapshot $snapshot, Planner $planner, CropBook $book, WallDrawing $drawing,
        SupplyStrip $supply, ShortList $short): Response
    {
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $view = WallView::of($request, $stand->garden, ($short->of($stand->garden, $stand->plan)[0] ?? null)?->product);

        $blocks = [];
        foreach ($drawing->rows($stand->garden, $stand->expected, $snapshot->plantingIds($visit->gardenId), $view->scale(),
            $view->block) as $row) {
            foreach ($row['strips'] as $strip) {
                $blocks[$row['bed']->block][] = ['row' => $row, 'strip' => $strip];
            }
        }

        return $this->page($request, 'plan/wall_table.html.twig', [
            'visit' => $visit,
            'garden' => $stand->garden,
            'view' => $view,
            'query' => $view->query(),
            'blocks' => $blocks,
            'weeks' => null === $view->product ? [] : $supply->weeks($stand->garden, $stand->plan, $view->product),
            'feeding' => null === $view->product ? [] : $supply->feeding($stand->plan, $view->product, $book),
            'total' => Length::fromMetres($stand->garden->metresOf($view->place)),
            'free' => $supply->free($stand->garden, $view->place, $view->scale()),
            'tight' => $supply->tight($stand->garden, $view->scale()),
        ], 'table');
    }
}
