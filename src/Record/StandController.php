<?php

declare(strict_types=1);

namespace App\Record;

use App\Change\PlantingMark;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Work\StandCheck;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The stand check: one count, and what to do about it. */
final class StandController extends Page
{
    #[Route('/g/{garden}/planting/{planting}/stand', name: 'stand', methods: ['GET'])]
    public function check(Request $request, Visit $visit, string $planting, Snapshot $snapshot, Planner $planner, CropBook $book): Response
    {
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $found = $snapshot->planting($visit->gardenId, $planting, $stand->garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
        $entry = new Entry($request->query->has('count') ? $request->query->all() : []);
        $count = $entry->isBegun() ? $entry->float('count', 0, 5000) : 0.0;
        $days = array_map(static fn (array $s) => $s['day'], $stand->expected->serves[$found->key] ?? []);
        $crop = $book->grown($found->item, $found->variety);

        return $this->page($request, 'record/stand.html.twig', [
            'visit' => $visit,
            'garden' => $stand->garden,
            'planting' => $found,
            'id' => $planting,
            'crop' => $crop,
            'entry' => $entry,
            'check' => $entry->isBegun() && $entry->isGood() ? StandCheck::of($stand->garden, $found, $crop, $count, $days) : null,
            'wanted' => StandCheck::of($stand->garden, $found, $crop, 1.0, [])->wanted,
            'may_note' => \in_array(Happening::Emerged, FieldWork::possible($found), true),
            'seen' => PlantingMark::of($found),
        ], 'panel', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
