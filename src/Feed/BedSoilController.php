<?php

declare(strict_types=1);

namespace App\Feed;

use App\Books\SoilTables;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Feed\SoilBalance;
use JollyFurrow\Feed\YearBalance;
use JollyFurrow\Lime\PhTarget;
use JollyFurrow\Lime\SoilSigns;
use JollyFurrow\Soil\Spread;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The soil of one bed: its tests, what went in and came off over the years, what was spread. */
final class BedSoilController extends Page
{
    private const HIGH = 56;

    #[Route('/g/{garden}/bed/{bed}/soil', name: 'bed_soil', methods: ['GET'])]
    public function bed(Request $request, Visit $visit, string $bed, Snapshot $snapshot, CropBook $crops, SoilTables $tables): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $garden->bedsByName()[$bed] ?? throw $this->createNotFoundException('There is no such bed.');
        $years = SoilBalance::of($garden, $crops, $tables->needs(), $found);
        $most = max(0.1, ...array_map(static fn (YearBalance $y): float => max($y->in->p2o5, $y->in->k2o, $y->out->p2o5, $y->out->k2o),
            $years));
        $planned = SoilSigns::planned($garden, $crops, $found);

        return $this->page($request, 'feed/bed_soil.html.twig', ['visit' => $visit, 'garden' => $garden, 'bed' => $found,
            'soil' => $garden->soil->soilOf($found, $garden->today), 'tests' => $garden->soil->testsOf($found, $garden->today),
            'lime' => SoilSigns::lime($garden, $crops, $found), 'target' => PhTarget::of($planned), 'years' => $years,
            'scale' => self::HIGH / $most, 'high' => self::HIGH,
                'spreads' => array_reverse(array_values(array_filter($garden->soil->spreads,
                    static fn (Spread $s): bool => $s->bed === $bed)))], 'bed_soil');
    }
}
