<?php

declare(strict_types=1);

namespace App\Years;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Years\BedYear;
use JollyFurrow\Years\BedYears;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** One bed through the years, along its length. */
final class BedYearsController extends Page
{
    #[Route('/g/{garden}/bed/{bed}/years', name: 'bed_years', methods: ['GET'])]
    public function years(Request $request, Visit $visit, string $bed, Snapshot $snapshot, CropBook $book, RecipeBook $recipes): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $garden->bedsByName()[$bed] ?? throw $this->createNotFoundException('There is no such bed.');

        return $this->page($request, 'garden/bed_years.html.twig', ['visit' => $visit, 'garden' => $garden, 'bed' => $found,
            'crops' => $book, 'recipes' => $recipes, 'ids' => $snapshot->plantingIds($visit->gardenId),
            'years' => array_map(static fn (BedYear $y): array => ['of' => $y, 'drawing' => YearsDrawing::of($y, $found)],
                BedYears::of($garden, $book, $found)), 'outlook' => BedOutlook::of($found, $garden->plantings->all(), $garden->today)],
            'years');
    }
}
