<?php

declare(strict_types=1);

namespace App\Hand;

use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByRhythm;
use JollyFurrow\Hand\RhythmPlan;
use JollyFurrow\Hand\SkippedSowing;
use JollyFurrow\Land\Bed;
use JollyFurrow\Need\Needs;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Supply\MarketOutlook;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Plans forward: "every ten days in this block, quarter beds, from May to August"; shown with what it yields, then kept. */
final class ForwardController extends Page
{
    private const SHARES = ['quarter' => 0.25, 'half' => 0.5, 'whole' => 1.0];
    private const WEEKS = 60;

    #[Route('/g/{garden}/forward', name: 'forward', methods: ['GET'])]
    public function tryOut(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, RecipeBook $recipes,
        Planner $planner): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->query->has('try') ? $request->query->all() : []);

        return $this->show($request, $visit, $garden, $book, $planner, $entry, $entry->isBegun() ? self::plan($entry, $garden, $book,
            $recipes) : null, '');
    }

    #[Route('/g/{garden}/forward', name: 'forward_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, RecipeBook $recipes, Planner $planner,
        PlantingChanges $changes): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $plan = self::plan($entry, $garden, $book, $recipes);
        $problem = '';
        if (null !== $plan && [] !== $plan->plantings) {
            try {
                $replacement = $changes->keep($visit->gardenId, $visit->accountId, [], static fn (): Replacement => new Replacement([],
                    $plan->plantings, \sprintf('%s by rhythm: %d sowings, every %s days from %s', $book->get($entry->raw('crop'))->name,
                        \count($plan->plantings), $entry->raw('every'), $entry->raw('from'))));

                return $this->kept($visit, $replacement->words.'.', $this->generateUrl('standing', ['garden' => $visit->gardenId]));
            } catch (Meanwhile $meanwhile) {
                $problem = $this->sayer->why($meanwhile);
            }
        }

        return $this->show($request, $visit, $garden, $book, $planner, $entry, $plan, $problem);
    }

    private static function plan(Entry $entry, Garden $garden, CropBook $book, RecipeBook $recipes): ?RhythmPlan
    {
        $crop = $entry->oneOf('crop', array_map(static fn (Crop $c): string => $c->key, $book->entries()));
        $from = $entry->day('from');
        $until = $entry->day('until');
        $every = $entry->int('every', 1, 120);
        $size = $entry->raw('size');
        $length = isset(self::SHARES[$size]) ? 0 : $entry->length('length', $garden->settings->units->longUnit(), 0.5, 500)->micrometres;
        $beds = self::beds($garden, $entry->raw('where'));
        if ([] === $beds) {
            $entry->fault('where', 'There is no such block or bed. Choose one of the list.');
        }
        if ($from->isBefore($garden->today)) {
            $entry->fault('from', 'This day has gone by. Write today or a later day.');
        }
        if ($until->isBefore($from) || $until->since($from) > 800) {
            $entry->fault('until', 'The last day comes after the first, within two years.');
        }
        if (!$entry->isGood()) {
            return null;
        }

        return (new ByRhythm($book, $recipes))->plan($garden, $book->get($crop), self::method($entry, $book->get($crop)), $beds, $from,
            $until, $every, $length, self::SHARES[$size] ?? 0.0);
    }

    /** @return list<Bed> of a block, or the one bed */
    private static function beds(Garden $garden, string $where): array
    {
        return array_values(array_filter($garden->bedsInUse(), static fn (Bed $bed): bool => 'block:'.$bed->block === $where
            || 'bed:'.$bed->name === $where));
    }

    /** As asked where the crop allows it. */
    private static function method(Entry $entry, Crop $crop): Method
    {
        $asked = Method::tryFrom($entry->raw('method'));

        return null !== $asked && \in_array($asked, $crop->methods(), true) ? $asked : $crop->methods()[0] ?? Method::Sown;
    }

    private function show(Request $request, Visit $visit, Garden $garden, CropBook $book, Planner $planner, Entry $entry,
        ?RhythmPlan $plan, string $problem): Response
    {
        return $this->page($request, 'plan/forward.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $book,
            'entry' => $entry,
            'plan' => $plan,
            'skipped' => self::byReason($plan->skipped ?? []),
            'days' => null === $plan ? [] : self::days($garden, $plan->plantings, $book),
            'dry_run' => null === $plan || [] === $garden->promises ? null : DryRun::of($planner, $book, $garden, [], $plan->plantings),
            'where' => $entry->isBegun() ? $entry->raw('where') : ('' === $request->query->getString('bed')
                ? 'block:'.self::block($garden, $request->query->getString('place')) : 'bed:'.$request->query->getString('bed')),
            'problem' => $problem,
            'crop_options' => self::crops($book),
            'asked' => ['crop' => $book->has($request->query->getString('crop')) ? $request->query->getString('crop') : 'lettuce-head',
                'from' => self::asked($request, 'from') ?? $garden->today->plus(7)->iso(), 'until' => self::asked($request, 'until')
                ?? $garden->today->plus(70)->iso()],
        ], 'forward', '' !== $problem ? Response::HTTP_CONFLICT : ($entry->isGood() ? Response::HTTP_OK
            : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    /** @return array<string, string> key => crop and variety, by name */
    private static function crops(CropBook $book): array
    {
        $options = [];
        foreach ($book->entries() as $crop) {
            $options[$crop->key] = $crop->name.($crop->isFurtherVariety() ? ' ‘'.$crop->variety.'’' : '');
        }
        asort($options);

        return $options;
    }

    /** A day asked for by a link from elsewhere. */
    private static function asked(Request $request, string $field): ?string
    {
        $day = $request->query->getString($field);

        return 1 === preg_match('/^\d{4}-\d\d-\d\d$/', $day) ? $day : null;
    }

    /** The first block with a bed of that place. */
    private static function block(Garden $garden, string $place): string
    {
        foreach ($garden->beds as $bed) {
            if ($bed->place->value === $place) {
                return $bed->block;
            }
        }

        return $garden->blocks[0] ?? '';
    }

    /**
     * @param list<SkippedSowing> $skipped
     *
     * @return array<string, list<SkippedSowing>> by reason
     */
    private static function byReason(array $skipped): array
    {
        $reasons = [];
        foreach ($skipped as $one) {
            $reasons[$one->why->value][] = $one;
        }

        return $reasons;
    }

    /**
     * What the sowings give on each market day, beside what is promised of the crop.
     *
     * @param list<Planting> $plantings
     *
     * @return list<array{day: Day, amount: int, height: float, promised: int}>
     */
    private static function days(Garden $garden, array $plantings, CropBook $book): array
    {
        if ([] === $plantings) {
            return [];
        }
        $item = $plantings[0]->item;
        $promised = [];
        foreach (Needs::of($garden, $book)->for($item) as $need) {
            $promised[$need->day] = ($promised[$need->day] ?? 0) + $need->units;
        }
        $rows = [];
        foreach (MarketOutlook::of($garden->with($plantings), $book, self::WEEKS)->days as ['day' => $day, 'amounts' => $amounts]) {
            if (isset($amounts[$item]) || ([] !== $rows && isset($promised[$day->number]))) {
                $rows[] = ['day' => $day, 'amount' => $amounts[$item] ?? 0, 'height' => 0.0, 'promised' => $promised[$day->number] ?? 0];
            }
        }
        $most = max([1, ...array_column($rows, 'amount'), ...array_column($rows, 'promised')]);

        return array_map(static fn (array $row): array => [...$row, 'height' => round(100 * $row['amount'] / $most, 1)], $rows);
    }
}
