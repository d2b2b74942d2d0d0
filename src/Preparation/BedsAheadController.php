<?php

declare(strict_types=1);

namespace App\Preparation;

use App\Books\CareFile;
use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Station\DropFolder;
use App\Station\SimulatedStation;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\LateBed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\BedsAhead;
use JollyFurrow\Preparation\BedWeek;
use JollyFurrow\Preparation\RainQuestion;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\KitNeed;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Bed preparation: what is late and what still works, metres week by week, kit, and what rain would do. */
final class BedsAheadController extends Page
{
    /** Late beds are looked into so far down the list. */
    private const SHOWN = 8;

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $book,
        private readonly RecipeBook $recipes, private readonly Planner $planner, private readonly CareFile $care)
    {
    }

    #[Route('/g/{garden}/ahead', name: 'ahead', methods: ['GET'])]
    public function ahead(Request $request, Visit $visit, SimulatedStation $station, DropFolder $folder): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->query->has('rain') ? $request->query->all() : []);
        $rain = $entry->isBegun() ? $entry->day('rain') : $garden->today;
        $days = $entry->isBegun() ? $entry->int('days', 1, 60) : 0;
        $source = $folder->isThere($visit->gardenId) ? $folder : $station;
        $wet = RainQuestion::inOutlook($source->outlook($visit->gardenId, $garden->climate,
            $garden->today));
        $late = LateBed::all($garden, $this->book, $this->recipes);

        return $this->page($request, 'preparation/ahead.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $this->book,
            'recipes' => $this->recipes,
            'ids' => $this->snapshot->plantingIds($visit->gardenId),
            'late' => $late,
            'worth' => array_map(fn (LateBed $l): ?DryRun => null === $l->later ? null : DryRun::of($this->planner, $this->book,
                $garden, [$l->planting], [$l->later]), \array_slice($late, 0, self::SHOWN)),
            'shown' => self::SHOWN,
            'places' => array_filter(array_combine(array_map($this->sayer->word(...), PlaceType::cases()),
                array_map(static fn (PlaceType $p): array => $garden->metresOf($p) > 0 ? self::bars(BedsAhead::of($garden, $p),
                    $garden->metresOf($p)) : [], PlaceType::cases()))),
            'kit' => self::kit($garden, KitNeed::byWeek($garden, $this->recipes, new CareCalendar($garden, $this->book,
                $this->recipes, $this->care->load()))),
            'entry' => $entry,
            'missed' => $entry->isBegun() && $entry->isGood() ? RainQuestion::of($garden, $this->recipes, $rain, $days) : null,
            'outlook' => null === $wet ? null : ['from' => $wet[0], 'days' => $wet[1], 'mm' => $wet[2], 'source' => $source->words(),
                'missed' => RainQuestion::of($garden, $this->recipes, $wet[0], $wet[1])],
        ], 'ahead', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    #[Route('/g/{garden}/planting/{planting}/late', name: 'late_mend', methods: ['POST'])]
    public function mend(Request $request, Visit $visit, string $planting, PlantingChanges $changes): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $found = $this->snapshot->planting($visit->gardenId, $planting, $garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
        $how = $request->request->getString('how');
        try {
            $kept = $changes->keep($visit->gardenId, $visit->accountId, [], function (Garden $now) use ($found, $how): Replacement {
                foreach (LateBed::all($now, $this->book, $this->recipes) as $late) {
                    $mend = match ($how) {
                        'quicker' => $late->quicker, 'later' => $late->later, 'elsewhere' => $late->elsewhere, default => null,
                    };
                    if ($late->planting->key === $found->key && null !== $mend) {
                        return new Replacement([$late->planting], [$mend], $this->words($late, $mend, $how));
                    }
                }
                throw Meanwhile::notPossible('It is no longer late, or this no longer works; look again.');
            });
        } catch (Meanwhile $meanwhile) {
            $this->addFlash('trouble', $this->sayer->why($meanwhile));

            return $this->seeOther('ahead', ['garden' => $visit->gardenId]);
        }

        return $this->kept($visit, $kept->words.'.', $this->generateUrl('ahead', ['garden' => $visit->gardenId]));
    }

    private function words(LateBed $late, Planting $mend, string $how): string
    {
        $name = $this->book->grown($mend->item, $mend->variety)->name.' on bed '.$mend->pieces[0]->bed;

        return match ($how) {
            'quicker' => \sprintf('%s: bed made ready by %s', $name, lcfirst($late->by->name ?? '')),
            'elsewhere' => \sprintf('%s, for bed %s is late', $name, $late->planting->pieces[0]->bed),
            default => \sprintf('%s: into the ground on %s', $name, $this->sayer->shortDay($mend->ground)),
        };
    }

    /**
     * @param list<BedWeek> $weeks
     *
     * @return list<array{week: BedWeek, parts: array<string, array{x: float, w: float}>, need: float}> shares of all metres, per cent
     */
    private static function bars(array $weeks, float $metres): array
    {
        $share = static fn (float $m): float => round(100 * $m / $metres, 1);

        return array_map(static fn (BedWeek $w): array => ['week' => $w, 'need' => $share($w->needed), 'parts' => [
            'standing' => ['x' => 0.0, 'w' => $share($w->standing)],
            'preparing' => ['x' => $share($w->standing), 'w' => $share($w->inPreparation)],
            'free' => ['x' => $share($w->standing + $w->inPreparation), 'w' => $share($w->free)],
        ]], $weeks);
    }

    /**
     * @param array<string, array<int, float>> $need
     *
     * @return list<array{kit: Kit, have: float|null, weeks: array<int, float>, most: float, short: list<int>}>
     */
    private static function kit(Garden $garden, array $need): array
    {
        $rows = [];
        foreach ($need as $kit => $weeks) {
            $have = isset($garden->settings->kit[$kit]) ? $garden->settings->kit[$kit] / Length::METRE : null;
            $rows[] = ['kit' => Kit::from($kit), 'have' => $have, 'weeks' => $weeks, 'most' => max([0.0, ...array_values($weeks)]),
                'short' => null === $have ? [] : array_keys(array_filter($weeks, static fn (float $m): bool => $m > $have + 0.01))];
        }

        return $rows;
    }
}
