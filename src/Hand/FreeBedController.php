<?php

declare(strict_types=1);

namespace App\Hand;

use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\FreeBed;
use JollyFurrow\Hand\FreeBedWay;
use JollyFurrow\Hand\GreenManure;
use JollyFurrow\Land\Bed;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What to do with a bed that is free, or comes free. */
final class FreeBedController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly Planner $planner, private readonly CropBook $book,
        private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/bed/{bed}/free', name: 'free_bed', methods: ['GET'])]
    public function free(Request $request, Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $found = $this->bed($garden, $bed);
        $stretches = self::stretches($garden, $found);
        $free = $stretches[$request->query->getInt('stretch')] ?? $stretches[0];

        return $this->page($request, 'plan/free_bed.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'bed' => $found,
            'crops' => $this->book,
            'stretches' => $stretches,
            'free' => $free,
            'ways' => $this->ways($garden, $found, $free),
            'manures' => $this->manures($garden, $found, $free),
        ], 'free');
    }

    #[Route('/g/{garden}/bed/{bed}/free', name: 'free_bed_plan', methods: ['POST'])]
    public function plan(Request $request, Visit $visit, string $bed, PlantingChanges $changes): Response
    {
        $found = $this->bed($this->snapshot->of($visit->gardenId), $bed);
        [$crop, $method, $sow, $from] = array_map($request->request->getString(...), ['crop', 'method', 'sow', 'from']);
        try {
            $kept = $changes->keep($visit->gardenId, $visit->accountId, [], function (Garden $garden) use ($found, $crop, $method, $sow,
                $from): Replacement {
                foreach (self::stretches($garden, $found) as $free) {
                    foreach ((string) $free->stretch->from === $from ? $this->ways($garden, $found, $free) : [] as $way) {
                        if ($way->crop->key === $crop && $way->method->value === $method && $way->sow->iso() === $sow) {
                            $planting = $way->planting($free->stretch, $garden->plantings->byKey());

                            return new Replacement([], [$planting], \sprintf('%s on bed %s, sown %s', $way->crop->name, $found->name,
                                $this->sayer->shortDay($way->sow)));
                        }
                    }
                }
                foreach (self::stretches($garden, $found) as $free) {
                    foreach ((string) $free->stretch->from === $from ? $this->manures($garden, $found, $free) : [] as $one) {
                        if ($one->crop->key === $crop && $one->sow->iso() === $sow) {
                            $key = PlantingKey::free($one->crop->item(), $one->sow, $garden->plantings->byKey());

                            return new Replacement([], [$one->planting($free->stretch, $found->place,
                                $this->recipes->has(FreeBed::HURRY) ? FreeBed::HURRY : $garden->settings->recipe, $garden->today,
                                $key)], \sprintf('%s on bed %s, sown %s', $one->crop->name, $found->name,
                                    $this->sayer->shortDay($one->sow)));
                        }
                    }
                }
                throw Meanwhile::notPossible('The bed is no longer free for it as it was; look again.');
            });
        } catch (Meanwhile $meanwhile) {
            $this->addFlash('trouble', $this->sayer->why($meanwhile));

            return $this->seeOther('free_bed', ['garden' => $visit->gardenId, 'bed' => $bed]);
        }

        return $this->kept($visit, $kept->words.'.', $this->generateUrl('bed', ['garden' => $visit->gardenId, 'bed' => $bed]));
    }

    private function bed(Garden $garden, string $bed): Bed
    {
        return $garden->bedsByName()[$bed] ?? throw $this->createNotFoundException('There is no such bed.');
    }

    /** @return list<FreeBedWay> */
    private function ways(Garden $garden, Bed $bed, BedOutlook $free): array
    {
        return (new FreeBed($garden, $this->book, $this->recipes, $this->planner->asItStands($garden)->shortages))->ways($free);
    }

    /** @return list<GreenManure> */
    private function manures(Garden $garden, Bed $bed, BedOutlook $free): array
    {
        return GreenManure::forGap($garden, $this->book, $bed, $free->stretch->length(), $free->from, $free->until);
    }

    /** @return non-empty-list<BedOutlook> the soonest free first */
    private static function stretches(Garden $garden, Bed $bed): array
    {
        $stretches = BedOutlook::of($bed, $garden->plantings->all(), $garden->today);
        usort($stretches, static fn (BedOutlook $a, BedOutlook $b): int => [$a->from->number,
            $a->stretch->from - $a->stretch->to] <=> [$b->from->number, $b->stretch->from - $b->stretch->to]);
        \assert([] !== $stretches);

        return $stretches;
    }
}
