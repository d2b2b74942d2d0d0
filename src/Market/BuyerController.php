<?php

declare(strict_types=1);

namespace App\Market;

use App\Links\LinkKind;
use App\Links\SecretLink;
use App\Links\SecretLinks;
use App\Log\ChangeLog;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Today;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\ComingUp;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\ComingLine;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Sale\Order;
use JollyFurrow\Time\Day;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * What a buyer sees behind an address with a secret: what is coming for that outlet, and a field to order it. Nothing else of the
 * garden; so many times an hour; not once orders are closed. The same order sent twice is one.
 */
final class BuyerController extends Page
{
    private const MOST = 10_000;
    private const AN_HOUR = 20;
    private const HOUR = 3600;

    public function __construct(private readonly SecretLinks $links, private readonly Snapshot $snapshot, private readonly CropBook $crops,
        private readonly Today $today, private readonly CacheItemPoolInterface $cache)
    {
    }

    #[Route('/order/{secret}', name: 'buyer', methods: ['GET'])]
    public function look(Request $request, string $secret): Response
    {
        [, $garden, $outlet] = $this->opened($secret);

        return $this->show($request, $secret, $garden, $outlet, Entry::fresh());
    }

    #[Route('/order/{secret}', name: 'buyer_order', methods: ['POST'])]
    public function order(Request $request, string $secret, ChangeLog $log, MarketKeeper $keeper): Response
    {
        [$link, $garden, $outlet] = $this->opened($secret);
        if ($this->isFlood($link)) {
            return $this->show($request, $secret, $garden, $outlet, Entry::fresh(), 'That was often. Please try again in an hour.',
                Response::HTTP_TOO_MANY_REQUESTS);
        }
        $entry = new Entry($request->request->all());
        $day = $entry->day('day');
        if (!$entry->isGood() || !$outlet->days->isOpenOn($day) || $day->isBefore($garden->today)) {
            return $this->show($request, $secret, $garden, $outlet, Entry::fresh(), 'That is no market day. Nothing was ordered.',
                Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        if (!$this->isOpen($garden, $outlet, $day)) {
            return $this->show($request, $secret, $garden, $outlet, Entry::fresh(), 'Orders for that day are closed. Please telephone.',
                Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $orders = [];
        foreach ($this->lines($garden, $outlet, $day) as $line) {
            $field = $day->number.'-'.$line->product->key;
            $quantity = '' === $entry->raw($field) ? 0 : $entry->int($field, 0, self::MOST);
            $orders[] = new Order(self::key($outlet, $line->product->key, $day), $outlet->key, $line->product->key, $day, (float) $quantity,
                who: $outlet->name, words: '' === $entry->raw('words') ? '' : mb_substr($entry->raw('words'), 0, 200));
        }
        if ([] !== $entry->faults()) {
            return $this->show($request, $secret, $garden, $outlet, $entry, '', Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $log->record((string) $link->garden, (string) $link->madeBy,
            $outlet->name.' ordered for '.$this->sayer->formatter()->day($day)->text,
            static function () use ($orders, $keeper, $link): void {
                foreach ($orders as $order) {
                    $order->quantity > 0.0 ? $keeper->keep((string) $link->garden, $order) : $keeper->drop((string) $link->garden, 'order',
                        $order->key);
                }
            });

        return $this->redirectToRoute('buyer', ['secret' => $secret, 'done' => $day->number], Response::HTTP_SEE_OTHER);
    }

    /** @return array{SecretLink, Garden, Outlet} */
    private function opened(string $secret): array
    {
        $link = $this->links->openOfMember(LinkKind::Buyer, $secret);
        $garden = null === $link?->garden ? null : $this->snapshot->of($link->garden);
        $outlet = array_values(array_filter($garden->outlets ?? [], static fn (Outlet $o): bool => $o->key === $link?->note))[0] ?? null;
        if (null === $link || null === $garden || null === $outlet) {
            throw $this->createNotFoundException('There is no such page.');
        }
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return [$link, $garden, $outlet];
    }

    private function isFlood(SecretLink $link): bool
    {
        $item = $this->cache->getItem('buyer.'.$link->id.'.'.intdiv($this->today->now()->getTimestamp(), self::HOUR));
        $times = $item->get();
        $times = (\is_int($times) ? $times : 0) + 1;
        $this->cache->save($item->set($times)->expiresAfter(self::HOUR));

        return $times > self::AN_HOUR;
    }

    private function isOpen(Garden $garden, Outlet $outlet, Day $day): bool
    {
        $terms = $garden->market->termsOf($outlet->key);
        $hour = null === $garden->practice ? (int) $this->today->now()->setTimezone(new \DateTimeZone(
            '' === $garden->settings->timeZone ? date_default_timezone_get() : $garden->settings->timeZone))->format('G') : 0;

        return null !== $terms->closesDays && !$terms->isClosed($day, $garden->today, $hour);
    }

    /** @return list<ComingLine> */
    private function lines(Garden $garden, Outlet $outlet, Day $day): array
    {
        return ComingUp::for($outlet->key, $garden, $this->crops, MarketForecast::of($garden, $this->crops,
            ComingController::DAYS))->on($day);
    }

    private static function key(Outlet $outlet, string $product, Day $day): string
    {
        return 'b-'.$day->number.'-'.substr(hash('sha256', $outlet->key.'/'.$product), 0, 20);
    }

    private function show(Request $request, string $secret, Garden $garden, Outlet $outlet, Entry $entry, string $trouble = '',
        int $status = Response::HTTP_OK): Response
    {
        $coming = ComingUp::for($outlet->key, $garden, $this->crops, MarketForecast::of($garden, $this->crops, ComingController::DAYS));
        $open = $mine = [];
        foreach ($coming->days as $number => $lines) {
            $open[$number] = $this->isOpen($garden, $outlet, Day::of($number));
            foreach ($lines as $line) {
                $order = $garden->market->order(self::key($outlet, $line->product->key, Day::of($number)));
                $mine[$number][$line->product->key] = null === $order ? '' : (string) (int) $order->quantity;
            }
        }

        return $this->page($request, 'market/buyer.html.twig', ['secret' => $secret, 'garden' => $garden, 'outlet' => $outlet,
            'coming' => $coming, 'open' => $open, 'mine' => $mine, 'entry' => $entry, 'trouble' => $trouble,
                'terms' => $garden->market->termsOf(
                    $outlet->key), 'done' => $request->query->getInt('done')], 'buyer', $status);
    }
}
