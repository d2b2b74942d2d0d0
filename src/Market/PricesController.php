<?php

declare(strict_types=1);

namespace App\Market;

use App\Log\ChangeLog;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\Price;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/** Prices by outlet and time of year, and what several cost together. */
final class PricesController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly ChangeLog $log, private readonly MarketKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/prices', name: 'prices', methods: ['GET'])]
    public function prices(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, Entry::fresh());
    }

    #[Route('/g/{garden}/prices', name: 'prices_add', methods: ['POST'])]
    public function add(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $product = $entry->oneOf('product', array_column($garden->products, 'key'));
        $outlet = '' === $entry->raw('outlet') ? '' : $entry->oneOf('outlet', array_column($garden->outlets, 'key'));
        $size = '' === $entry->raw('size') ? '' : $entry->text('size', 40);
        $each = $entry->money('each');
        $from = '' === $entry->raw('from') ? null : $entry->day('from');
        $until = '' === $entry->raw('until') ? null : $entry->day('until');
        $many = $entry->optionalInt('many', 2, 1000);
        $together = null === $many ? null : $entry->money('together');
        if ($entry->isGood() && null !== $from && null !== $until && $until->isBefore($from)) {
            $entry->fault('until', 'The last day lies before the first.');
        }
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $entry);
        }
        $name = array_column($garden->products, 'name', 'key')[$product] ?? '';
        $price = new Price(Uuid::v7()->toRfc4122(), $outlet, $product, $each, $from, $until, $many ?? 0, $together,
            $size);
        $this->log->record($visit->gardenId, $visit->accountId, 'Price of '.$name, fn () => $this->keeper->keep($visit->gardenId, $price));

        return $this->kept($visit, 'Price of '.$name.' saved.', $this->generateUrl('prices', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/prices/drop', name: 'prices_drop', methods: ['POST'])]
    public function drop(Request $request, Visit $visit): Response
    {
        $this->log->record($visit->gardenId, $visit->accountId, 'Price taken out', fn () => $this->keeper->drop($visit->gardenId, 'price',
            $request->request->getString('price')));

        return $this->kept($visit, 'Price taken out.', $this->generateUrl('prices', ['garden' => $visit->gardenId]));
    }

    private function show(Request $request, Visit $visit, Entry $entry): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $now = [];
        foreach ($garden->products as $product) {
            foreach ($garden->outlets as $outlet) {
                $now[$product->key][$outlet->key] = $garden->market->price($outlet->key, $product, $garden->today);
            }
        }

        return $this->page($request, 'market/prices.html.twig', ['visit' => $visit, 'garden' => $garden, 'entry' => $entry, 'now' => $now,
            'names' => array_column([...$garden->outlets, ...$garden->products], 'name', 'key'),
            'apart' => \count(array_filter($garden->products, static fn (Product $p): bool => [] !== array_filter($garden->market->prices,
                static fn (Price $one): bool => $one->product === $p->key)))], 'prices', $entry->isGood() ? Response::HTTP_OK
                : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
