<?php

declare(strict_types=1);

namespace App\Market;

use App\Log\ChangeLog;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\ComingUp;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\OrderKind;
use JollyFurrow\Sale\Terms;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/** Firm and standing orders against what is promised and what is sure; until when they may change. */
final class OrdersController extends Page
{
    private const DAYS = 14;
    private const MOST = 100_000;
    private const HAND = ['_least' => Role::Hand->value];

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $crops, private readonly ChangeLog $log,
        private readonly MarketKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/orders', name: 'orders', methods: ['GET'])]
    public function orders(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->opened($visit), Entry::fresh());
    }

    #[Route('/g/{garden}/orders', name: 'orders_add', methods: ['POST'], defaults: self::HAND)]
    public function add(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->request->all());
        $outlet = self::named($garden->outlets, $entry->raw('outlet'));
        $product = self::named($garden->products, $entry->raw('product'));
        $day = $entry->day('day');
        $quantity = $entry->float('quantity', 0.01, self::MOST);
        $kind = OrderKind::tryFrom($entry->raw('kind', OrderKind::Firm->value)) ?? OrderKind::Firm;
        $until = '' === $entry->raw('until') || OrderKind::Firm === $kind ? null : $entry->day('until');
        $words = '' === $entry->raw('words') ? '' : $entry->text('words', 200);
        if (!$outlet instanceof Outlet) {
            $entry->fault('outlet', 'Choose an outlet.');
        } elseif ($entry->isGood() && !$outlet->days->isOpenOn($day)) {
            $entry->fault('day', \sprintf('%s has no market on that day.', $outlet->name));
        }
        if (!$product instanceof Product) {
            $entry->fault('product', 'Choose a product.');
        }
        if ($entry->isGood() && null !== $until && $until->isBefore($day)) {
            $entry->fault('until', 'The last day lies before the first.');
        }
        if (!$entry->isGood() || !$outlet instanceof Outlet || !$product instanceof Product) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $said = \sprintf('%s ordered %s %s', $outlet->name, rtrim(rtrim(number_format($quantity, 2, '.', ''), '0'), '.'),
            mb_strtolower($product->name));
        $this->log->record($visit->gardenId, $visit->accountId, $said, fn () => $this->keeper->keep($visit->gardenId, new Order(
            Uuid::v7()->toRfc4122(), $outlet->key, $product->key, $day, round($quantity, 2), $kind, $until, '', $words)));
        $this->warn($garden, $outlet, $product, new Order('', $outlet->key, $product->key, $day, $quantity));

        return $this->kept($visit, $said.'.', $this->generateUrl('orders', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/orders/drop', name: 'orders_drop', methods: ['POST'], defaults: self::HAND)]
    public function drop(Request $request, Visit $visit): Response
    {
        $order = $this->opened($visit)->market->order($request->request->getString('order'));
        if (null === $order) {
            throw $this->createNotFoundException('There is no such order.');
        }
        $this->log->record($visit->gardenId, $visit->accountId, 'Order taken out', fn () => $this->keeper->drop($visit->gardenId, 'order',
            $order->key));

        return $this->kept($visit, 'Order taken out.', $this->generateUrl('orders', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/orders/terms', name: 'orders_terms', methods: ['POST'])]
    public function terms(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->request->all());
        $outlet = self::named($garden->outlets, $entry->raw('outlet'));
        $closes = 'seen' === $entry->raw('school') ? null : $entry->optionalInt('closes', 0, 60);
        $hour = null === $closes ? 24 : $entry->int('hour', 1, 24);
        $second = $entry->int('second', 0, 100);
        if (!$outlet instanceof Outlet || !$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $said = $outlet->name.(null === $closes ? ': taken and seen' : \sprintf(': orders until %d day%s before', $closes,
            1 === $closes ? '' : 's'));
        $this->log->record($visit->gardenId, $visit->accountId, $said, fn () => $this->keeper->keep($visit->gardenId,
            new Terms($outlet->key, $closes, $hour, $second)));

        return $this->kept($visit, $said.'.', $this->generateUrl('orders', ['garden' => $visit->gardenId]));
    }

    /** An order for more than is sure is told at once. */
    private function warn(Garden $garden, Outlet $outlet, Product $product, Order $order): void
    {
        $forecast = MarketForecast::of($garden, $this->crops, max(1, $order->day->since($garden->today) + 1));
        foreach (ComingUp::for($outlet->key, $garden, $this->crops, $forecast)->on($order->day) as $line) {
            if ($line->product->key === $product->key && $line->sure < $order->quantity) {
                $this->addFlash('trouble', \sprintf('Only %d are sure, %d likely.', $line->sure, $line->likely));
            }
        }
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        $forecast = MarketForecast::of($garden, $this->crops, self::DAYS);
        $days = [];
        foreach ($garden->outlets as $outlet) {
            $coming = ComingUp::for($outlet->key, $garden, $this->crops, $forecast);
            foreach ($outlet->days->between($garden->today, $garden->today->plus(self::DAYS - 1)) as $day) {
                $lines = array_values(array_filter($coming->on($day), static fn ($l): bool => $l->ordered > 0.0 || $l->promised > 0.0));
                $days[$day->number][] = ['outlet' => $outlet, 'day' => $day, 'lines' => $lines, 'orders' => $garden->market->ordered(
                    $outlet->key, $day), 'terms' => $garden->market->termsOf($outlet->key)];
            }
        }
        ksort($days);

        return $this->page($request, 'market/orders.html.twig', ['visit' => $visit, 'garden' => $garden, 'entry' => $entry,
            'days' => array_merge(...array_values($days)), 'standing' => array_values(array_filter($garden->market->orders,
                static fn (Order $o): bool => OrderKind::Standing === $o->kind && (null === $o->until || !$o->until->isBefore(
                    $garden->today)))), 'names' => array_column([...$garden->outlets, ...$garden->products], 'name', 'key')], 'orders',
            $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @param list<Outlet>|list<Product> $all */
    private static function named(array $all, string $key): Outlet|Product|null
    {
        return array_values(array_filter($all, static fn (Outlet|Product $one): bool => $one->key === $key))[0] ?? null;
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }
}
