<?php

declare(strict_types=1);

namespace App\Market;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\CropWorth;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What each crop was worth: takings less hours and bought things, by metre of bed and week. */
final class WorthController extends Page
{
    private const WIDTH = 300;

    #[Route('/g/{garden}/worth', name: 'worth', methods: ['GET'])]
    public function worth(Request $request, Visit $visit, Snapshot $snapshot, CropBook $crops): Response
    {
        $garden = $snapshot->remembering($visit->gardenId, $snapshot->of($visit->gardenId, true));
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $years = array_values(array_unique([$garden->today->year(), ...array_map(static fn ($d): int => $d->day->year(),
            $garden->market->days)]));
        rsort($years);
        $year = $request->query->getInt('year', $garden->today->year());
        $ground = max(0.0, min(1000.0, (float) $request->query->getString('ground')));
        $all = \in_array($year, $years, true) ? CropWorth::all($garden, $crops, Period::fromFirstToLast(Day::fromDate($year, 1, 1),
            Day::fromDate($year, 12, 31)), 100 * $ground / self::usualBed($garden)) : [];
        $bed = self::usualBed($garden);
        $most = max([1.0, ...array_map(static fn (CropWorth $w): float => abs($w->perMetreWeek()), $all)]);

        return $this->page($request, 'market/worth.html.twig', ['visit' => $visit, 'garden' => $garden, 'years' => $years, 'year' => $year,
            'rows' => array_map(static fn (CropWorth $w): array => ['worth' => $w, 'bed' => $bed * $w->perMetreWeek(),
                'bar' => self::WIDTH / 2 * $w->perMetreWeek() / $most],
                $all), 'middle' => self::WIDTH / 2, 'width' => self::WIDTH, 'ground' => $ground], 'worth');
    }

    /** Metres of the length most beds have. */
    private static function usualBed(Garden $garden): float
    {
        $beds = [];
        foreach ($garden->bedsInUse() as $bed) {
            $beds[$bed->length->micrometres] = ($beds[$bed->length->micrometres] ?? 0) + 1;
        }
        arsort($beds);

        return max(1.0, (array_key_first($beds) ?? 0) / 1_000_000);
    }
}
