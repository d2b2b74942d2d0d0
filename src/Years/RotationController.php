<?php

declare(strict_types=1);

namespace App\Years;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wall\Family;
use JollyFurrow\Beds\FamilyYears;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Years\NextBlocks;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Where each family stood and will stand: beds down, years across. */
final class RotationController extends Page
{
    #[Route('/g/{garden}/rotation', name: 'rotation', methods: ['GET'])]
    public function rotation(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $years = FamilyYears::of($garden, $book);
        $families = [];
        foreach (array_keys($years->metres()) as $family) {
            $families[$family] = ['css' => Family::css((string) $family), 'glyph' => Family::glyph((string) $family)];
        }
        $wanted = $request->query->getString('family');
        $soon = 0;
        foreach ($years->stays as $byYear) {
            foreach ($byYear as $stays) {
                $soon += \count(array_filter($stays, static fn ($s): bool => $s->isTooSoon));
            }
        }

        return $this->page($request, 'plan/rotation.html.twig', ['visit' => $visit, 'garden' => $garden, 'years' => $years,
            'families' => $families, 'wanted' => isset($families[$wanted]) ? $wanted : '', 'soon' => $soon,
            'shifts' => NextBlocks::of($garden, $book)], 'rotation');
    }
}
