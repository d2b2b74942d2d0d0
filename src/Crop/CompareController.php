<?php

declare(strict_types=1);

namespace App\Crop;

use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Crop\StandWay;
use JollyFurrow\Crop\YieldByDensity;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Need\Values;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Promise\Product;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Ways\PlantingCost;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Up to four ways to grow side by side: varieties, methods or spacings, sown on one day or wanted on one, over one length of bed. */
final class CompareController extends Page
{
    private const MOST = 4;
    private const BACK = 366;
    private const FIRST = 'lettuce-head';
    /** Width of a bed where the garden has none of that place type, micrometres. */
    private const USUAL_WIDTH = 75 * Length::CENTIMETRE;

    #[Route('/g/{garden}/compare', name: 'compare', methods: ['GET'])]
    public function compare(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, RecipeBook $recipes): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $ways = $this->ways($book);
        $entry = new Entry($request->query->has('way') ? $request->query->all() : []);
        $stands = $request->query->all('stand');
        $chosen = [];
        foreach ($entry->isBegun() ? $request->query->all('way') : [] as $n => $key) {
            if (\is_string($key) && isset($ways[$key])) {
                $chosen[] = [$key, StandWay::tryFrom(\is_string($stands[$n] ?? null) ? $stands[$n] : '') ?? StandWay::Book];
            }
        }
        $chosen = $entry->isBegun() ? $chosen : self::twoWays($garden, $book);
        $byReady = 'ready' === $entry->raw('ask');
        $day = $entry->isBegun() ? $entry->day('sow') : $garden->today;
        $length = $entry->isBegun() ? $entry->length('length', $garden->settings->units->longUnit(), 0.5, 500) : Length::fromMetres(10);
        $place = $entry->isBegun() ? $entry->choice('place', PlaceType::class) : PlaceType::Field;
        if ($entry->isBegun() && ([] === $chosen || \count($chosen) > self::MOST)) {
            $entry->fault('way', [] === $chosen ? 'Choose at least one way.' : 'At most four ways stand side by side.');
        }
        $rows = $entry->isGood() ? array_map(static fn (array $one): array => self::row($garden, $book, $recipes,
            $one[0], $one[1], $day, $byReady, $length, $place), $chosen) : [];

        return $this->page($request, 'crop/compare.html.twig', ['visit' => $visit, 'garden' => $garden, 'ways' => $ways,
            'stands' => StandWay::cases(), 'chosen' => $chosen, 'entry' => $entry, 'rows' => $rows, 'most' => self::MOST], 'compare',
            $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /**
     * Two ways to grow what the garden grows or sells, where the book knows two; of the first crop of all otherwise.
     *
     * @return list<array{string, StandWay}>
     */
    private static function twoWays(Garden $garden, CropBook $book): array
    {
        $items = [...array_merge(...array_map(static fn (Product $p): array => array_column($p->parts, 'item'), $garden->products)),
            ...array_column($garden->plantings->all(), 'item'), self::FIRST];
        foreach (array_unique($items) as $item) {
            $ways = [];
            foreach ($book->entries() as $crop) {
                $place = \in_array(PlaceType::Field, $crop->places(), true);
                foreach ($place && $crop->item() === $item ? $crop->methods() : [] as $method) {
                    $ways[] = [$crop->key.'/'.$method->value, StandWay::Book];
                }
            }
            if (\count($ways) > 1) {
                return \array_slice($ways, 0, 2);
            }
        }

        return [];
    }

    /** @return array<string, string> "crop/method" => words */
    private function ways(CropBook $book): array
    {
        $ways = [];
        foreach ($book->entries() as $crop) {
            foreach ($crop->methods() as $method) {
                $ways[$crop->key.'/'.$method->value] = \sprintf('%s ‘%s’, %s', $crop->name, $crop->variety, $this->sayer->word($method));
            }
        }
        asort($ways);

        return $ways;
    }

    /** @return array<string, mixed> */
    private static function row(Garden $garden, CropBook $book, RecipeBook $recipes, string $key, StandWay $way, Day $day,
        bool $byReady, Length $length, PlaceType $place): array
    {
        [$cropKey, $methodKey] = explode('/', $key);
        $method = Method::from($methodKey);
        $stand = $way->of($book->get($cropKey), $method);
        $crop = null === $stand ? $book->get($cropKey) : $book->get($cropKey)->standing($stand,
            YieldByDensity::times($book->get($cropKey), $way->density($book->get($cropKey), $method)));
        $bed = array_values(array_filter($garden->beds, static fn ($b): bool => $b->place === $place))[0] ?? null;
        $spacing = Spacing::inBed($crop->stand, $bed->width ?? Length::fromMicrometres(self::USUAL_WIDTH), $length);
        $candidates = new Candidates($garden, $recipes);
        $grown = null === $stand ? null : ($byReady ? self::latest($candidates, $crop, $day, $place, $method)
            : $candidates->sownOn($crop, $day, $place, $method));
        $planting = $grown?->planting('compared', [Stretch::of('compared', 0, $length->micrometres)]);

        return [
            'crop' => $crop,
            'method' => $method,
            'stand' => $way,
            'fits' => null !== $stand,
            'spacing' => $spacing,
            'planting' => $planting,
            'bed_days' => null === $planting ? 0 : $planting->clear->since($planting->bedStart) + 1,
            'days' => null === $planting ? 0 : $planting->ready->since($planting->sow),
            'seed' => SeedNeed::of($crop, $method, $spacing),
            'yield' => $crop->produce->goods(floor($crop->produce->perMetre * $length->metres() + 1e-9)),
            'brings' => null === $planting ? null : self::brings($garden, $crop, $length),
            'price' => null === $planting ? null : (new PlantingCost($garden, $recipes))->of($planting, $book),
        ];
    }

    /** Cents all of it brings at the garden's prices; null: it is not sold here. */
    private static function brings(Garden $garden, Crop $crop, Length $length): ?float
    {
        $value = Values::of($garden)[$crop->item()] ?? null;

        return null === $value ? null : floor($crop->produce->perMetre * $length->metres() + 1e-9) * $value;
    }

    /** The latest sowing of the year before that is ready on the wanted day or before. */
    private static function latest(Candidates $candidates, Crop $crop, Day $wanted, PlaceType $place, Method $method): ?Candidate
    {
        for ($sow = $wanted; $wanted->since($sow) < self::BACK; $sow = $sow->plus(-1)) {
            $way = $candidates->sownOn($crop, $sow, $place, $method);
            if (null !== $way && $way->ready <= $wanted->number) {
                return $way;
            }
        }

        return null;
    }
}
