<?php

declare(strict_types=1);

namespace App\Promise;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Garden\GrowingSeason;
use JollyFurrow\Need\SeasonTotals;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** All promises of a year summed up: by market day, product and outlet. */
final class SeasonController extends Page
{
    #[Route('/g/{garden}/season', name: 'season', methods: ['GET'])]
    public function season(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $asked = $request->query->getString('year');
        $year = 1 === preg_match('/^(19|20)\d\d$/', $asked) ? (int) $asked : ($garden->place->latitude < 0
            && $garden->today->month() < 7 ? $garden->today->year() - 1 : $garden->today->year());
        $season = GrowingSeason::of($garden->place->latitude, $year);
        $totals = SeasonTotals::of($garden, $season->books());
        $most = max([1.0, ...array_map(array_sum(...), $totals->byDay)]);

        return $this->page($request, 'promise/season.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'year' => $year,
            'season' => $season,
            'totals' => $totals,
            'sums' => array_map(array_sum(...), $totals->byDay),
            'heights' => array_map(static fn (array $outlets): float => round(100 * array_sum($outlets) / $most, 1), $totals->byDay),
        ], 'season');
    }
}
