<?php

declare(strict_types=1);

namespace App\Promise;

use App\Account\Visit;
use App\Garden\Snapshot;
use App\Record\ChangeLog;
use App\Shared\Page;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class PromiseController extends Page
{
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
        $outlet = $this->outlet($garden, $request->request->getString('outlet')) ?? throw $this->createNotFoundException('There is no such outlet.');
        $from = $this->from($request->request->getString('from'), $garden);
        $typed = $request->request->all('q');
        $prices = $request->request->all('price');
        $read = $entry->read($typed, $prices);
        if ([] !== $entry->faults()) {
            return $this->show($request, $visit, $garden, $outlet, $from, ['typed' => $typed, 'prices' => $prices, 'faults' => $entry->faults()], Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $changed = $log->record($visit->gardenId, $visit->accountId, static fn (int $n): string => \sprintf('%d promise%s to %s changed, weeks from %s', $n, 1 === $n ? '' : 's', $outlet->name, $from->iso()), static fn (): int => $entry->keep($visit->gardenId, $outlet->key, $read));
        $this->addFlash('done', 0 === $changed ? 'Nothing was different, nothing is changed.' : \sprintf('%d number%s kept. The plan does not know of it yet: draw it up anew when you are done.', $changed, 1 === $changed ? '' : 's'));

        return $this->seeOther('promises', ['garden' => $visit->gardenId, 'outlet' => $outlet->key, 'from' => $from->iso()]);
    }

    /** @param array<string, mixed> $typing */
    private function show(Request $request, Visit $visit, Garden $garden, ?Outlet $outlet, Day $from, array $typing = ['typed' => [], 'prices' => [], 'faults' => []], int $status = Response::HTTP_OK): Response
    {
        return $this->page($request, 'promise/promises.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'grid' => null === $outlet ? null : PromiseGrid::of($garden, $outlet, $from),
            'from' => $from,
            'earlier' => $from->plus(-7 * PromiseGrid::WEEKS),
            'later' => $from->plus(7 * PromiseGrid::WEEKS),
            ...$typing,
        ], 'promises', $status);
    }

    private function outlet(Garden $garden, string $key): ?Outlet
    {
        return array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => $o->key === $key))[0] ?? $garden->outlets[0] ?? null;
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
