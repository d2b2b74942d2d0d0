<?php

declare(strict_types=1);

namespace App\Find;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Finds a crop, bed, planting or outlet from anywhere; where only one is meant, goes there. */
final class FindController extends Page
{
    #[Route('/g/{garden}/find', name: 'find', methods: ['GET'])]
    public function find(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $words = trim($request->query->getString('q'));
        $found = Found::of($words, $garden, $book, $snapshot->plantingIds($visit->gardenId));
        $only = $found->only();
        if (null !== $only) {
            return $this->seeOther($only['route'], ['garden' => $visit->gardenId, ...$only['parameters']]);
        }

        return $this->page($request, 'find/find.html.twig', ['visit' => $visit, 'garden' => $garden, 'found' => $found, 'crops' => $book,
            'found_for' => $words], 'find');
    }
}
