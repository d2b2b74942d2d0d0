<?php

declare(strict_types=1);

namespace App\Promise;

use App\Log\ChangeLog;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\NextPromise;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Promises of the next twelve months proposed from what sold, ran out and came back; taken row by row. */
final class FromSalesController extends Page
{
    private const MOST = 100_000;

    public function __construct(private readonly Snapshot $snapshot)
    {
    }

    #[Route('/g/{garden}/promises/from-sales', name: 'promises_sales', methods: ['GET'])]
    public function look(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, Entry::fresh());
    }

    #[Route('/g/{garden}/promises/from-sales', name: 'promises_sales_take', methods: ['POST'])]
    public function take(Request $request, Visit $visit, ChangeLog $log, PromiseEntry $promises): Response
    {
        $entry = new Entry($request->request->all());
        $chosen = array_fill_keys($entry->several('row'), true);
        $quantities = [];
        foreach (NextPromise::all($this->opened($visit)) as $row) {
            if (isset($chosen[$row->key()])) {
                $units = $entry->float('units-'.$row->field(), 0, self::MOST);
                foreach ($row->days as $day) {
                    $quantities[$row->outlet->key][$row->product->key][$day->number] = $units;
                }
            }
        }
        if ([] === $quantities && $entry->isGood()) {
            $entry->fault('row', 'Tick the rows you want to promise.');
        }
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $entry);
        }
        $changed = $log->record($visit->gardenId, $visit->accountId,
            static fn (int $n): string => \sprintf('Promised from what sold (%d numbers)', $n),
            static function () use ($promises, $visit, $quantities): int {
                $changed = 0;
                foreach ($quantities as $outlet => $products) {
                    $changed += $promises->keep($visit->gardenId, (string) $outlet, ['quantities' => $products, 'prices' => []]);
                }

                return $changed;
            });
        $next = $this->generateUrl('promises_sales', ['garden' => $visit->gardenId]);
        if ($changed > 0) {
            return $this->kept($visit, \sprintf('%d market days promised from what sold. The plan does not know of it yet.', $changed),
                $next);
        }
        $this->addFlash('done', 'It was all promised like that already.');

        return $this->redirect($next, Response::HTTP_SEE_OTHER);
    }

    private function show(Request $request, Visit $visit, Entry $entry): Response
    {
        $garden = $this->opened($visit);
        $outlets = [];
        $same = 0;
        foreach (NextPromise::all($garden) as $row) {
            $row->isAsBefore() ? ++$same : $outlets[$row->outlet->name][$row->days[0]->number][] = $row;
        }

        return $this->page($request, 'promise/from_sales.html.twig', ['visit' => $visit, 'garden' => $garden, 'outlets' => $outlets,
            'same' => $same, 'entry' => $entry], 'sales', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    private function opened(Visit $visit): Garden
    {
        return $this->snapshot->remembering($visit->gardenId, $this->snapshot->of($visit->gardenId));
    }
}
