<?php

declare(strict_types=1);

namespace App\Market;

use App\Log\ChangeLog;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Boxes\BoxItem;
use JollyFurrow\Boxes\BoxNeeds;
use JollyFurrow\Boxes\ComingBoxes;
use JollyFurrow\Boxes\Filling;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\ComingUp;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/** What goes into the boxes: by size and group, worth its price, in turns; kept as it was packed. */
final class BoxesController extends Page
{
    private const AHEAD = 28;
    /** Units of one thing in a box. */
    private const MOST = 1000;

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $crops, private readonly ChangeLog $log,
        private readonly MarketKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/boxes', name: 'boxes', methods: ['GET'])]
    public function boxes(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, Entry::fresh());
    }

    /** For the packing line: what goes into which box and how much is to be there. */
    #[Route('/g/{garden}/boxes/sheet', name: 'boxes_sheet', methods: ['GET'])]
    public function sheet(Request $request, Visit $visit): Response
    {
        $values = $this->values($request, $visit);
        $all = [];
        foreach ($values['needs']->classes ?? [] as $class) {
            foreach ($values['contents'][$class->key()] ?? [] as $product => $units) {
                $all[$product] = ($all[$product] ?? 0) + $units * $class->boxes;
            }
        }

        return $this->page($request, 'market/boxes_sheet.html.twig', [...$values, 'all' => $all], 'sheet');
    }

    /** For the customer: what is in the box, and until when it is good. */
    #[Route('/g/{garden}/boxes/note', name: 'boxes_note', methods: ['GET'])]
    public function note(Request $request, Visit $visit): Response
    {
        $values = $this->values($request, $visit);

        return $this->page($request, 'market/boxes_note.html.twig', [...$values, 'keeps' => array_map(fn (Product $p): int => min(array_map(
            fn ($part): int => $this->crops->get($part->item)->produce->keepingDays, $p->parts)), array_column($values['garden']->products,
                null,
                'key'))], 'note');
    }

    /** So many weeks at least between two boxes with a product in them. */
    #[Route('/g/{garden}/boxes/rest', name: 'boxes_rest', methods: ['POST'])]
    public function rest(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->request->all());
        $product = $entry->oneOf('product', array_map(static fn (Product $p): string => $p->key, $garden->products));
        $weeks = $entry->int('weeks', 1, 52);
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $entry);
        }
        $said = \sprintf(1 === $weeks ? '%s in every box' : '%s every %d weeks at most', array_column($garden->products, 'name',
            'key')[$product]
            ?? $product, $weeks);
        $this->log->record($visit->gardenId, $visit->accountId, $said, function () use ($visit, $garden, $product, $weeks): void {
            foreach ($garden->market->sizes as $size) {
                $this->keeper->keep($visit->gardenId, $size->resting($product, $weeks));
            }
        });

        return $this->kept($visit, $said.'.', $this->generateUrl('boxes', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/boxes', name: 'boxes_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        [$outlet, $day] = $this->asked($garden, $request->request->getString('outlet'), $request->request->getString('day'));
        if (null === $outlet || null === $day) {
            throw $this->createNotFoundException('There is no such box day.');
        }
        $contents = [];
        $entry = new Entry($request->request->all());
        foreach ($garden->market->sizesOf($outlet->key) as $size) {
            foreach (array_keys($size->groups) as $group) {
                $class = $size->key.'/'.$group;
                foreach ($garden->products as $product) {
                    $units = (int) $entry->raw('in-'.$size->key.'-'.$group.'-'.$product->key, '0');
                    $units > 0 && $units < self::MOST ? $contents[$class][$product->key] = $units : null;
                }
            }
        }
        $said = \sprintf('Boxes of %s packed', $this->sayer->formatter()->day($day)->text);
        $this->log->record($visit->gardenId, $visit->accountId, $said, fn () => $this->keeper->keep($visit->gardenId, new BoxWeek(
            $outlet->key, $day, $contents)));

        return $this->kept($visit, $said.'.', $this->generateUrl('boxes', ['garden' => $visit->gardenId, 'outlet' => $outlet->key,
            'day' => $day->iso()]));
    }

    #[Route('/g/{garden}/boxes/size', name: 'boxes_size', methods: ['POST'])]
    public function size(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->request->all());
        $outlet = $entry->oneOf('outlet', array_column($garden->outlets, 'key'));
        $name = $entry->text('name', 60);
        $price = $entry->money('price');
        $groups = array_values(array_filter(array_map('intval', preg_split('/[\s,+]+/', $entry->raw('groups')) ?: []),
            static fn (int $n): bool => $n > 0 && $n < 10_000));
        if ([] === $groups || \count($groups) > 6) {
            $entry->fault('groups', 'Write the shares of each group: 20, 20.');
        }
        if (!$entry->isGood() || [] === $groups) {
            return $this->show($request, $visit, $entry);
        }
        $was = array_values(array_filter($garden->market->sizesOf($outlet), static fn (BoxSize $s): bool => $s->name === $name))[0] ?? null;
        $size = new BoxSize($was->key ?? substr(Uuid::v7()->toRfc4122(), 24), $outlet, $name, $price, $groups, $was->rests ?? []);
        $this->log->record($visit->gardenId, $visit->accountId, 'Box size '.$name, fn () => $this->keeper->keep($visit->gardenId, $size));

        return $this->kept($visit, 'Box size '.$name.' saved.', $this->generateUrl('boxes', ['garden' => $visit->gardenId,
            'outlet' => $outlet]));
    }

    private function show(Request $request, Visit $visit, Entry $entry): Response
    {
        $values = $this->values($request, $visit);
        [$garden, $outlet] = [$values['garden'], $values['outlet']];

        return $this->page($request, 'market/boxes.html.twig', [...$values, 'entry' => $entry, 'rests' => array_merge(...array_map(
            static fn (BoxSize $s): array => $s->rests, $garden->market->sizes)), 'next' => null === $outlet
                || '' === $request->query->getString(
                    'next') ? [] : $this->next($garden, $outlet, $values['days'])], 'boxes', $entry->isGood() ? Response::HTTP_OK
                        : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /**
     * @return array{visit: Visit, garden: Garden, outlet: Outlet|null, day: Day|null, days: list<Day>, needs: BoxNeeds|null,
     *     filling: Filling|null, packed: BoxWeek|null, contents: array<string, array<string, int>>, names: array<string, string>,
     *     items: array<string, BoxItem>, sizes: array<string, BoxSize>}
     */
    private function values(Request $request, Visit $visit): array
    {
        $garden = $this->opened($visit);
        [$outlet, $day, $days] = $this->asked($garden, $request->query->getString('outlet'), $request->query->getString('day'));
        $needs = null === $outlet || null === $day ? null : BoxNeeds::of($garden, $this->crops, $outlet->key, $day, ComingUp::for(
            $outlet->key, $garden, $this->crops, MarketForecast::of($garden, $this->crops, self::AHEAD + 1))->on($day));
        $packed = array_values(array_filter($garden->market->boxes, static fn (BoxWeek $b): bool => null !== $outlet && null !== $day
            && $b->key() === $outlet->key.'/'.$day->iso()))[0] ?? null;
        $filling = null === $needs || [] === $needs->classes ? null : Filling::of($needs->items, $needs->classes);
        $items = array_column($needs->items ?? [], null, 'key');
        $contents = $packed->contents ?? [];
        foreach (null === $packed ? $needs->classes ?? [] : [] as $class) {
            foreach ($filling->contents[$class->key()] ?? [] as $key) {
                $contents[$class->key()][$key] = $items[$key]->in($class->size);
            }
        }

        return ['visit' => $visit, 'garden' => $garden, 'outlet' => $outlet, 'day' => $day, 'days' => $days, 'needs' => $needs,
            'filling' => $filling, 'packed' => $packed, 'contents' => $contents, 'names' => array_column($garden->products, 'name', 'key'),
            'items' => $items, 'sizes' => array_column($garden->market->sizes, null, 'key')];
    }

    /**
     * @param list<Day> $days
     *
     * @return list<ComingBoxes>
     */
    private function next(Garden $garden, Outlet $outlet, array $days): array
    {
        $coming = ComingUp::for($outlet->key, $garden, $this->crops, MarketForecast::of($garden, $this->crops, self::AHEAD + 1));
        $lines = [];
        foreach ($days as $day) {
            $lines[$day->number] = $coming->on($day);
        }

        return ComingBoxes::of($garden, $this->crops, $outlet->key, $lines);
    }

    /** @return array{Outlet|null, Day|null, list<Day>} the outlet with boxes, and its next day */
    private function asked(Garden $garden, string $key, string $iso): array
    {
        $with = array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => [] !== $garden->market->sizesOf($o->key)
            && ('' === $key || $o->key === $key)));
        $outlet = $with[0] ?? null;
        $days = null === $outlet ? [] : $outlet->days->between($garden->today, $garden->today->plus(self::AHEAD));

        return [$outlet, array_values(array_filter($days, static fn (Day $d): bool => $d->iso() === $iso))[0] ?? $days[0] ?? null, $days];
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }
}
