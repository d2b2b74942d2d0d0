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
use JollyFurrow\Boxes\BoxNeeds;
use JollyFurrow\Boxes\Filling;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\ComingUp;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
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
        $size = new BoxSize($was->key ?? substr(Uuid::v7()->toRfc4122(), 24), $outlet, $name, $price, $groups);
        $this->log->record($visit->gardenId, $visit->accountId, 'Box size '.$name, fn () => $this->keeper->keep($visit->gardenId, $size));

        return $this->kept($visit, 'Box size '.$name.' saved.', $this->generateUrl('boxes', ['garden' => $visit->gardenId,
            'outlet' => $outlet]));
    }

    private function show(Request $request, Visit $visit, Entry $entry): Response
    {
        $garden = $this->opened($visit);
        [$outlet, $day, $days] = $this->asked($garden, $request->query->getString('outlet'), $request->query->getString('day'));
        $coming = null === $outlet || null === $day ? [] : ComingUp::for($outlet->key, $garden, $this->crops, MarketForecast::of($garden,
            $this->crops, 1 + $day->since($garden->today)))->on($day);
        $needs = null === $outlet || null === $day ? null : BoxNeeds::of($garden, $this->crops, $outlet->key, $day, $coming);
        $packed = array_values(array_filter($garden->market->boxes, static fn (BoxWeek $b): bool => null !== $outlet && null !== $day
            && $b->key() === $outlet->key.'/'.$day->iso()))[0] ?? null;

        return $this->page($request, 'market/boxes.html.twig', ['visit' => $visit, 'garden' => $garden, 'outlet' => $outlet, 'day' => $day,
            'days' => $days, 'needs' => $needs, 'filling' => null === $needs || [] === $needs->classes ? null : Filling::of($needs->items,
                $needs->classes), 'packed' => $packed, 'names' => array_column($garden->products, 'name', 'key'),
            'items' => null === $needs ? [] : array_column($needs->items, null, 'key'), 'sizes' => array_column($garden->market->sizes,
                null,
                'key'), 'entry' => $entry], 'boxes', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
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
