<?php

declare(strict_types=1);

namespace App\Promise;

use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\PromisePattern;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class PromiseController extends Page
{
    private const LONGEST_SPAN = 800;

    #[Route('/g/{garden}/promises', name: 'promises', methods: ['GET'])]
    public function grid(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $outlet = $this->outlet($garden, $request->query->getString('outlet'));

        return $this->show($request, $visit, $garden, $outlet, $this->from($request->query->getString('from'), $garden));
    }

    #[Route('/g/{garden}/promises', name: 'promises_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, PromiseEntry $entry): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $outlet = $this->outlet($garden, $request->request->getString('outlet'))
            ?? throw $this->createNotFoundException('There is no such outlet.');
        $from = $this->from($request->request->getString('from'), $garden);
        $typed = $request->request->all('q');
        $prices = $request->request->all('price');
        $read = $entry->read($typed, $prices, $request->request->all('was'), $request->request->all('was_price'));
        if ([] !== $entry->faults()) {
            return $this->show($request, $visit, $garden, $outlet, $from, ['typed' => $typed, 'prices' => $prices,
                'faults' => $entry->faults()], Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        try {
            $changed = $this->store($visit, $log, $entry, $outlet, $from, $read);
        } catch (Meanwhile $meanwhile) {
            return $this->show($request, $visit, $snapshot->of($visit->gardenId), $outlet, $from,
                ['typed' => $typed, 'prices' => $prices, 'faults' => $entry->faults(), 'problem' => $this->sayer->why($meanwhile)],
                Response::HTTP_CONFLICT);
        }
        $next = $this->generateUrl('promises', ['garden' => $visit->gardenId, 'outlet' => $outlet->key, 'from' => $from->iso()]);
        if (0 === $changed) {
            $this->addFlash('done', 'Nothing was different, nothing is changed.');

            return $this->redirect($next, Response::HTTP_SEE_OTHER);
        }

        return $this->kept($visit, \sprintf('%d number%s saved. The plan does not know of it yet: draw it up anew when you are done.',
            $changed, 1 === $changed ? '' : 's'), $next);
    }

    /** The same number every so many weeks. */
    #[Route('/g/{garden}/promises/pattern', name: 'promises_pattern', methods: ['POST'])]
    public function pattern(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, PromiseEntry $entry): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $outlet = $this->outlet($garden, $request->request->getString('outlet'))
            ?? throw $this->createNotFoundException('There is no such outlet.');
        $typed = new Entry($request->request->all());
        $product = $typed->oneOf('product', array_map(static fn (Product $p): string => $p->key, $garden->products));
        $quantity = $typed->float('quantity', 0, 100_000);
        $weeks = $typed->int('weeks', 1, 52);
        [$first, $last] = $this->span($typed);
        $days = $typed->isGood() ? PromisePattern::days($outlet, $first, $last, $weeks) : [];
        if ($typed->isGood() && [] === $days) {
            $typed->fault('last', 'No market day lies between these days.');
        }
        if (!$typed->isGood()) {
            return $this->show($request, $visit, $garden, $outlet, $this->from($request->request->getString('from'), $garden),
                ['pattern' => $typed], Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $quantities = [$product => array_fill_keys(array_map(static fn (Day $d): int => $d->number, $days), $quantity)];

        return $this->filled($visit, $log, $entry, $outlet, $first, $quantities, \sprintf('%s to %s every %s from %s to %s',
            $typed->raw('quantity').' '.$product, $outlet->name, 1 === $weeks ? 'week' : $weeks.' weeks', $this->sayer->shortDay($first),
            $this->sayer->shortDay($last)));
    }

    /** What was promised 52 weeks before, times a share, where nothing is promised yet. */
    #[Route('/g/{garden}/promises/last-year', name: 'promises_last_year', methods: ['POST'])]
    public function asLastYear(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, PromiseEntry $entry): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $outlet = $this->outlet($garden, $request->request->getString('outlet'))
            ?? throw $this->createNotFoundException('There is no such outlet.');
        $typed = new Entry($request->request->all());
        $percent = $typed->float('percent', 1, 1000);
        [$first, $last] = $this->span($typed);
        $promises = $typed->isGood() ? PromisePattern::aboutAsTheYearBefore($garden->promises, $outlet, $first, $last,
            $percent / 100) : [];
        if ($typed->isGood() && [] === $promises) {
            $typed->fault('percent', \sprintf('Nothing was promised to %s a year before these days that is not promised again already.',
                $outlet->name));
        }
        if (!$typed->isGood()) {
            return $this->show($request, $visit, $garden, $outlet, $this->from($request->request->getString('from'), $garden),
                ['pattern' => $typed], Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $quantities = [];
        foreach ($promises as $promise) {
            $quantities[$promise->product][$promise->day->number] = $promise->quantity;
        }

        return $this->filled($visit, $log, $entry, $outlet, $first, $quantities,
            \sprintf('%s from %s to %s about as the year before, %s %%', $outlet->name, $this->sayer->shortDay($first),
                $this->sayer->shortDay($last),
                $typed->raw('percent')));
    }

    /** @return array{Day, Day} */
    private function span(Entry $typed): array
    {
        $first = $typed->day('first');
        $last = $typed->day('last');
        if ($typed->isGood() && ($last->isBefore($first) || $last->since($first) > self::LONGEST_SPAN)) {
            $typed->fault('last', 'The last day comes after the first, within two years.');
        }

        return [$first, $last];
    }

    /** @param array<string, array<int, float>> $quantities by product and day number */
    private function filled(Visit $visit, ChangeLog $log, PromiseEntry $entry, Outlet $outlet, Day $first, array $quantities,
        string $what): Response
    {
        $changed = $log->record($visit->gardenId, $visit->accountId, static fn (int $n): string => \sprintf('Promised: %s (%d numbers)',
            $what, $n), static fn (): int => $entry->keep($visit->gardenId, $outlet->key, ['quantities' => $quantities, 'prices' => []]));
        $next = $this->generateUrl('promises', ['garden' => $visit->gardenId, 'outlet' => $outlet->key,
            'from' => $first->week()->monday()->iso()]);
        if ($changed > 0) {
            return $this->kept($visit, \sprintf('Promised: %s; %d number%s changed.', $what, $changed, 1 === $changed ? '' : 's'), $next);
        }
        $this->addFlash('done', 'It was all promised like that already.');

        return $this->redirect($next, Response::HTTP_SEE_OTHER);
    }

    /** @param array{quantities: array<string, array<int, float>>, prices: array<string, Money>} $read */
    private function store(Visit $visit, ChangeLog $log, PromiseEntry $entry, Outlet $outlet, Day $from, array $read): int
    {
        return $log->record($visit->gardenId, $visit->accountId, fn (int $n): string => \sprintf('%d promise%s to %s changed, weeks from %s',
            $n, 1 === $n ? '' : 's', $outlet->name, $this->sayer->shortDay($from)),
            static fn (): int => $entry->keep($visit->gardenId, $outlet->key, $read));
    }

    /** @param array<string, mixed> $typing */
    private function show(Request $request, Visit $visit, Garden $garden, ?Outlet $outlet, Day $from, array $typing = [],
        int $status = Response::HTTP_OK): Response
    {
        return $this->page($request, 'promise/promises.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'grid' => null === $outlet ? null : PromiseGrid::of($garden, $outlet, $from),
            'from' => $from,
            'earlier' => $from->plus(-7 * PromiseGrid::WEEKS),
            'later' => $from->plus(7 * PromiseGrid::WEEKS),
            'pattern' => Entry::fresh(),
            'typed' => [],
            'prices' => [],
            'faults' => [],
            'problem' => '',
            ...$typing,
        ], 'promises', $status);
    }

    private function outlet(Garden $garden, string $key): ?Outlet
    {
        return array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => $o->key === $key))[0] ?? $garden->outlets[0]
            ?? null;
    }

    private function from(string $text, Garden $garden): Day
    {
        try {
            return Day::parse($text)->week()->monday();
        } catch (InvalidDay) {
            return $garden->today->week()->monday();
        }
    }
}
