<?php

declare(strict_types=1);

namespace App\Market;

use App\Crop\SheetFile;
use App\Log\ChangeLog;
use App\Pick\PickLists;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Paper;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Load\LoadList;
use JollyFurrow\Load\LoadProducts;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Sale\DeliveryLine;
use JollyFurrow\Sale\DeliveryNote;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Delivery notes: numbered, made from the load list, printed, as CSV and as PDF. Tax papers are left to local rules. */
final class DeliveryController extends Page
{
    private const MOST = 100_000;
    private const NUMBER = ['note' => '\d{4}-\d{3,7}'];

    public function __construct(private readonly Snapshot $snapshot, private readonly PickLists $lists, private readonly ChangeLog $log,
        private readonly MarketKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/delivery', name: 'delivery', methods: ['GET'])]
    public function notes(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, Entry::fresh());
    }

    #[Route('/g/{garden}/delivery', name: 'delivery_make', methods: ['POST'])]
    public function make(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $outlet = $entry->oneOf('outlet', array_map(static fn (Outlet $o): string => $o->key, $garden->outlets));
        $day = $entry->day('day');
        $lines = $entry->isGood() ? self::lines($garden, $entry, $outlet, $day) : [];
        $words = '' === $entry->raw('words') ? '' : $entry->text('words', 200);
        if ([] === $lines && $entry->isGood()) {
            $entry->fault('words', 'Nothing is on it. Write how many of at least one product.');
        }
        if (!$entry->isGood() || [] === $lines) {
            return $this->show($request, $visit, $entry);
        }
        // Its number is given under the write lock: two who write at once have two numbers.
        $number = $this->log->record($visit->gardenId, $visit->accountId, static fn (string $given): string => 'Delivery note '.$given,
            function () use ($visit, $outlet, $day, $lines, $words): string {
                $now = $this->snapshot->of($visit->gardenId);
                $number = DeliveryNote::next($now->market->notes, $now->today->year());
                $this->keeper->keep($visit->gardenId, new DeliveryNote($number, $outlet, $day, $lines, $words));

                return $number;
            });

        return $this->kept($visit, 'Delivery note '.$number.'.', $this->generateUrl('delivery_note', ['garden' => $visit->gardenId,
            'note' => $number]));
    }

    #[Route('/g/{garden}/delivery/{note}', name: 'delivery_note', methods: ['GET'], requirements: self::NUMBER)]
    public function note(Request $request, Visit $visit, string $note): Response
    {
        [$garden, $note] = $this->found($visit, $note);

        return $this->page($request, 'market/delivery_note.html.twig', $this->values($visit, $garden, $note), 'note');
    }

    /** Units, money in the garden's currency, the day as ISO. */
    #[Route('/g/{garden}/delivery/{note}.csv', name: 'delivery_csv', methods: ['GET'], requirements: self::NUMBER)]
    public function csv(Visit $visit, string $note): Response
    {
        [$garden, $note] = $this->found($visit, $note);
        $products = array_column($garden->products, null, 'key');
        $rows = [['number', 'day', 'outlet', 'product', 'unit', 'units', 'amount', 'lots']];
        foreach ($note->lines as $l) {
            $rows[] = [$note->number, $note->day->iso(), $this->nameOf($garden, $note), $products[$l->product]->name ?? $l->product,
                $products[$l->product]->unit ?? '', (string) $l->units, \sprintf('%.2f', $l->cents / 100), $l->lots];
        }

        return Paper::csv(SheetFile::toCsv($rows), 'delivery-note-'.$note->number);
    }

    #[Route('/g/{garden}/delivery/{note}.pdf', name: 'delivery_pdf', methods: ['GET'], requirements: self::NUMBER)]
    public function pdf(Visit $visit, string $note): Response
    {
        [$garden, $note] = $this->found($visit, $note);

        return Paper::pdf($this->renderView('market/delivery_paper.html.twig', $this->values($visit, $garden, $note)),
            'delivery-note-'.$note->number);
    }

    /** It stays, marked: its number is not given again. */
    #[Route('/g/{garden}/delivery/{note}/withdraw', name: 'delivery_withdraw', methods: ['POST'], requirements: self::NUMBER)]
    public function withdraw(Visit $visit, string $note): Response
    {
        [, $note] = $this->found($visit, $note);
        $said = 'Delivery note '.$note->number.' withdrawn';
        $this->log->record($visit->gardenId, $visit->accountId, $said, fn () => $this->keeper->keep($visit->gardenId, $note->withdrawn()));

        return $this->kept($visit, $said.'.', $this->generateUrl('delivery', ['garden' => $visit->gardenId]));
    }

    /** @return list<DeliveryLine> */
    private static function lines(Garden $garden, Entry $entry, string $outlet, Day $day): array
    {
        $lines = [];
        foreach ($garden->products as $product) {
            $units = '' === $entry->raw('units-'.$product->key) ? 0 : $entry->int('units-'.$product->key, 0, self::MOST);
            0 === $units ?: $lines[] = new DeliveryLine($product->key, $units, $garden->market->price($outlet, $product,
                $day)->cents($units),
                mb_substr($entry->raw('lots-'.$product->key), 0, 200));
        }

        return $lines;
    }

    /** @return array{Garden, DeliveryNote} */
    private function found(Visit $visit, string $number): array
    {
        $garden = $this->snapshot->of($visit->gardenId);

        return [$garden, $garden->market->note($number) ?? throw $this->createNotFoundException('There is no such delivery note.')];
    }

    /** @return array<string, mixed> */
    private function values(Visit $visit, Garden $garden, DeliveryNote $note): array
    {
        return ['visit' => $visit, 'garden' => $garden, 'note' => $note, 'products' => array_column($garden->products, null, 'key'),
            'to' => $this->nameOf($garden, $note)];
    }

    private function nameOf(Garden $garden, DeliveryNote $note): string
    {
        return array_column($garden->outlets, 'name', 'key')[$note->outlet] ?? $note->outlet;
    }

    private function show(Request $request, Visit $visit, Entry $entry): Response
    {
        [$site, $list] = $this->lists->of($visit->gardenId);
        $garden = $site->garden;
        $ask = $entry->isBegun() ? $entry : new Entry($request->query->all());
        $market = PickLists::asked($ask->raw('day'), $list);
        $loads = null === $market ? [] : LoadList::all($garden, $site->crops, $list->on($market));
        $load = array_values(array_filter($loads, static fn (LoadList $l): bool => $l->outlet->key === $ask->raw('outlet')))[0] ?? null;

        return $this->page($request, 'market/delivery.html.twig', ['visit' => $visit, 'garden' => $garden, 'entry' => $entry,
            'market' => $market, 'loads' => $loads, 'load' => $load, 'lines' => null === $load || null === $market ? []
                : LoadProducts::of($garden, $site->crops, $load, $market), 'notes' => array_reverse($garden->market->notes),
            'names' => array_column($garden->outlets, 'name', 'key')], 'delivery', $entry->isGood() ? Response::HTTP_OK
                : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
