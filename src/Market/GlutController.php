<?php

declare(strict_types=1);

namespace App\Market;

use App\Books\StoreTables;
use App\Log\ChangeLog;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\Glut;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\GlutKind;
use JollyFurrow\Sale\GlutWay;
use JollyFurrow\Sale\Price;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/** What is too much in the next two weeks, and where it may go, what brings most first. */
final class GlutController extends Page
{
    public const DAYS = 14;
    private const MOST = 100_000;

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $crops, private readonly StoreTables $tables,
        private readonly ChangeLog $log, private readonly MarketKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/glut', name: 'glut', methods: ['GET'])]
    public function glut(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->opened($visit), Entry::fresh());
    }

    /** A place the garden takes what is too much. */
    #[Route('/g/{garden}/glut', name: 'glut_way', methods: ['POST'])]
    public function way(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->request->all());
        $kind = GlutKind::tryFrom($entry->oneOf('kind', array_column(GlutKind::typed(), 'value'))) ?? GlutKind::Processing;
        $name = $entry->text('name', 60);
        $product = '' === $entry->raw('product') ? '' : $entry->oneOf('product', array_map(static fn (Product $p): string => $p->key,
            $garden->products));
        $percent = $entry->int('percent', 0, 100);
        $most = $entry->optionalInt('most', 1, self::MOST);
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $way = new GlutWay(Uuid::v7()->toRfc4122(), $kind, $name, $product, $percent, $most);
        $said = 'What is too much may go to '.$name;
        $this->log->record($visit->gardenId, $visit->accountId, $said, fn () => $this->keeper->keep($visit->gardenId, $way));

        return $this->kept($visit, $said.'.', $this->generateUrl('glut', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/glut/drop', name: 'glut_drop', methods: ['POST'])]
    public function drop(Request $request, Visit $visit): Response
    {
        $this->log->record($visit->gardenId, $visit->accountId, 'A way for what is too much taken out', fn () => $this->keeper->drop(
            $visit->gardenId, 'glut', $request->request->getString('way')));

        return $this->kept($visit, 'Taken out.', $this->generateUrl('glut', ['garden' => $visit->gardenId]));
    }

    /** At the second price until the last day it is good. */
    #[Route('/g/{garden}/glut/offer', name: 'glut_offer', methods: ['POST'])]
    public function offer(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        foreach ($this->all($garden) as $glut) {
            foreach ($glut->ways as $way) {
                if (GlutKind::SecondPrice === $way->kind && '' !== $way->outlet
                    && $glut->product->key === $request->request->getString('product')
                    && $way->outlet === $request->request->getString('outlet')) {
                    $now = $garden->market->price($way->outlet, $glut->product, $garden->today)->each->cents;
                    $cents = (int) round($now * $garden->market->termsOf($way->outlet)->second / 100);
                    $said = \sprintf('%s at the second price at %s', $glut->product->name, $way->name);
                    $this->log->record($visit->gardenId, $visit->accountId, $said, fn () => $this->keeper->keep($visit->gardenId, new Price(
                        Uuid::v7()->toRfc4122(), $way->outlet, $glut->product->key, Money::fromCents($cents), $garden->today,
                        $glut->first)));

                    return $this->kept($visit, $said.'.', $this->generateUrl('glut', ['garden' => $visit->gardenId]));
                }
            }
        }

        throw $this->createNotFoundException('That is not too much any more.');
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        return $this->page($request, 'market/glut.html.twig', ['visit' => $visit, 'garden' => $garden, 'gluts' => $this->all($garden),
            'entry' => $entry, 'kinds' => GlutKind::typed(), 'names' => array_column($garden->products, 'name', 'key')], 'glut',
            $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @return list<Glut> */
    private function all(Garden $garden): array
    {
        return Glut::all($garden, $this->crops, self::DAYS, $this->tables->picking()->hoursOf($this->crops, $garden->products));
    }

    private function opened(Visit $visit): Garden
    {
        return $this->snapshot->remembering($visit->gardenId, $this->snapshot->of($visit->gardenId));
    }
}
