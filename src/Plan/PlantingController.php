<?php

declare(strict_types=1);

namespace App\Plan;

use App\Account\Visit;
use App\Garden\Snapshot;
use App\Shared\Page;
use App\Work\CareFile;
use JollyFurrow\Climate\Protection;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Stretch;
use JollyFurrow\Maturity\CoverCare;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Preparation\RecipeBook;
use JollyFurrow\Record\FieldNote;
use JollyFurrow\Record\FieldWork;
use JollyFurrow\Work\CareCalendar;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class PlantingController extends Page
{
    #[Route('/g/{garden}/planting/{planting}', name: 'planting', methods: ['GET'])]
    public function show(Request $request, Visit $visit, string $planting, Snapshot $snapshot, Planner $planner, CropBook $book, RecipeBook $recipes, CareFile $care): Response
    {
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $found = $snapshot->planting($visit->gardenId, $planting, $stand->garden) ?? throw $this->createNotFoundException('There is no such planting.');
        $crop = $book->grown($found->item, $found->variety);

        return $this->page($request, 'plan/planting.html.twig', [
            'visit' => $visit,
            'garden' => $stand->garden,
            'planting' => $found,
            'id' => $planting,
            'possible' => FieldWork::possible($found),
            'notes' => array_values(array_filter($stand->garden->notes, static fn (FieldNote $n): bool => $n->planting === $found->key)),
            'crop' => $crop,
            'care' => array_values(array_filter(array_map(static fn (Protection $p): ?CoverCare => $p->isOver($found->key, array_map(static fn (Stretch $s): string => $s->bed, $found->pieces)) ? CoverCare::of($stand->garden, $found, $crop, $p) : null, $stand->garden->protections))),
            'tending' => (new CareCalendar($stand->garden, $book, $care->load()))->of($found),
            'recipe' => $recipes->get($found->recipe),
            'steps' => (new Leads($stand->garden))->dated($recipes->get($found->recipe), $found),
            'sheet' => PlantingSheet::of($found, $crop, $stand->garden, $recipes),
            'serves' => $stand->expected->serves[$found->key] ?? [],
            'total' => $stand->expected->total[$found->key] ?? 0.0,
        ], 'panel');
    }
}
