<?php

declare(strict_types=1);

namespace App\Plan;

use App\Books\CareFile;
use App\Books\SoilTables;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Preparation\Residue;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Why\PlantingReasons;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\CoverCare;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class PlantingController extends Page
{
    #[Route('/g/{garden}/planting/{planting}', name: 'planting', methods: ['GET'])]
    public function show(Request $request, Visit $visit, string $planting, Snapshot $snapshot, Planner $planner, CropBook $book,
        RecipeBook $recipes, CareFile $care, SoilTables $tables): Response
    {
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $found = $snapshot->planting($visit->gardenId, $planting, $stand->garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
        $crop = $book->grown($found->item, $found->variety);
        $entry = new Entry($request->query->has('height') ? $request->query->all() : []);
        $height = $entry->isBegun() ? $entry->length('height', $stand->garden->settings->units->shortUnit(), 0.01, 4) : null;
        $cover = $entry->isBegun() ? $entry->int('cover', 5, 100) : 100;
        $residue = null === $height || !$entry->isGood() ? null : Residue::byEye($crop, $height, $cover / 100,
            $stand->garden->bedsByName()[$found->pieces[0]->bed], $found->length());

        $tending = new CareCalendar($stand->garden, $book, $recipes, $care->load());

        return $this->page($request, 'plan/planting.html.twig', [
            'visit' => $visit,
            'garden' => $stand->garden,
            'planting' => $found,
            'id' => $planting,
            'possible' => FieldWork::expected($found, $stand->garden->today),
            'notes' => array_values(array_filter($stand->garden->notes, static fn (FieldNote $n): bool => $n->planting === $found->key)),
            'crop' => $crop,
            'care' => array_values(array_filter(array_map(static fn (Protection $p): ?CoverCare => $p->isOver($found->key,
                array_map(static fn (Stretch $s): string => $s->bed, $found->pieces)) ? CoverCare::of($stand->garden, $found, $crop, $p)
                : null, $stand->garden->protections))),
            'tending' => $tending->of($found),
            'care_choices' => $tending->choices($found),
            'recipe' => $recipes->get($found->recipe),
            'steps' => (new Leads($stand->garden))->dated($recipes->get($found->recipe), $found),
            'food' => PlantingFood::of($found, $stand->garden, $book, $recipes, $tables, $tending),
            'sheet' => PlantingSheet::of($found, $crop, $stand->garden, $recipes),
            'serves' => $stand->expected->serves[$found->key] ?? [],
            'total' => $stand->expected->total[$found->key] ?? 0.0,
            'entry' => $entry,
            'reasons' => (new PlantingReasons($stand->garden, $book, $recipes, $found))->all(),
            'isGreenManure' => Pattern::GreenManure === $crop->pattern,
            'residue' => $residue,
            'rest' => null === $residue ? null : Residue::restDays($residue->tonnesPerHectare(), $found->clear->plus(Residue::USUAL_REST),
                $stand->garden->place->latitude),
            'passes' => null === $residue ? null : Residue::passes($residue->tonnesPerHectare(), false),
        ], 'panel', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
