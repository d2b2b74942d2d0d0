<?php

declare(strict_types=1);

namespace App\Garden;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wall\BedCard;
use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** One bed, as one stands before it: what stands there, the next job, free when. */
final class BedController extends Page
{
    #[Route('/g/{garden}/bed/{bed}', name: 'bed', methods: ['GET'])]
    public function bed(Request $request, Visit $visit, string $bed, Snapshot $snapshot, CropBook $book, RecipeBook $recipes,
        OldBedName $old): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $garden->bedsByName()[$bed] ?? null;
        if (null === $found) {
            $now = $old->nowCalled($visit->gardenId, $bed) ?? throw $this->createNotFoundException('There is no such bed.');

            return $this->redirectToRoute('bed', ['garden' => $visit->gardenId, 'bed' => $now]);
        }
        $cards = BedCard::all($garden, $found, $book, $recipes);
        $names = array_map(static fn ($b): string => $b->name, $garden->beds);
        $at = (int) array_search($bed, $names, true);

        return $this->page($request, 'garden/bed.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'bed' => $found,
            'crops' => $book,
            'cards' => $cards,
            'ids' => $snapshot->plantingIds($visit->gardenId),
            'outlook' => BedOutlook::of($found, $garden->plantings->all(), $garden->today),
            'notes' => array_reverse(array_values(array_filter($garden->notes, static fn (FieldNote $n): bool => isset($cards['keys'][$n->planting])))),
            'history' => array_values(array_filter($garden->history, static fn (PastCrop $p): bool => $p->stretch->bed === $bed)),
            'before' => $names[$at - 1] ?? null,
            'after' => $names[$at + 1] ?? null,
        ], 'bed');
    }
}
