<?php

declare(strict_types=1);

namespace App\Garden;

use App\Log\ChangeLog;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Message\Message;
use JollyFurrow\Paste\BedRows;
use JollyFurrow\Paste\TooMuch;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Beds of different lengths from one pasted list: all of them, or none and what is not clear. */
final class BedListController extends Page
{
    private const TOLD = 12;

    public function __construct(private readonly Snapshot $snapshot)
    {
    }

    #[Route('/g/{garden}/beds/list', name: 'beds_list', methods: ['GET'])]
    public function form(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->snapshot->of($visit->gardenId), Entry::fresh());
    }

    #[Route('/g/{garden}/beds/list', name: 'beds_list_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, BedSeries $series, ChangeLog $log): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $read = $this->read($entry, $garden);
        $beds = $read->beds ?? [];
        if ([] === $beds || !$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry, $read->faults ?? []);
        }
        $words = 1 === \count($beds) ? 'Bed '.$beds[0]->name.' added'
            : \sprintf('%d beds added: %s to %s', \count($beds), $beds[0]->name, $beds[\count($beds) - 1]->name);
        $log->record($visit->gardenId, $visit->accountId, $words,
            static fn (): array => $series->add($visit->gardenId, $beds, \count($garden->blocks)));

        return $this->kept($visit, $words.'.', $this->generateUrl('beds', ['garden' => $visit->gardenId]));
    }

    /** Null: it is too large to be read. */
    private function read(Entry $entry, Garden $garden): ?BedRows
    {
        $usual = BedSeriesData::usual();
        try {
            $read = BedRows::read($entry->text('text', Limits::LIST_BYTES), $garden,
                new Bed('', $usual->block, 0, $usual->length, $usual->width, $usual->path, PlaceType::Field));
        } catch (TooMuch $tooMuch) {
            $entry->fault('text', $tooMuch->said());

            return null;
        }
        if (\count($garden->beds) + \count($read->beds) > Limits::BEDS) {
            $entry->fault('text', \sprintf('A garden has at most %d beds here.', Limits::BEDS));
        }
        if ([] !== $read->faults) {
            $entry->fault('text', $read->faults[0]);
        }

        return $read;
    }

    /** @param list<Message> $faults of the rows */
    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry, array $faults = []): Response
    {
        return $this->page($request, 'garden/bed_list.html.twig', ['visit' => $visit, 'garden' => $garden, 'entry' => $entry,
            'others' => \array_slice($faults, 1, self::TOLD), 'untold' => max(0, \count($faults) - 1 - self::TOLD)],
            'list', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
