<?php

declare(strict_types=1);

namespace App\Station;

use App\Log\ChangeLog;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Store\ClimateKeeper;
use App\Store\Snapshot;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Readings: from a station or its stand-in, or read off and typed; they replace the normals of the days that have passed. */
final class StationController extends Page
{
    private const BACK = 400;
    private const SHOWN = 21;

    #[Route('/g/{garden}/station', name: 'station', methods: ['GET'])]
    public function station(Request $request, Visit $visit, Snapshot $snapshot, SimulatedStation $station, DropFolder $folder): Response
    {
        return $this->show($request, $visit, $snapshot->of($visit->gardenId), $station, $folder, Entry::fresh());
    }

    #[Route('/g/{garden}/station/read', name: 'station_read', methods: ['POST'])]
    public function read(Request $request, Visit $visit, Snapshot $snapshot, SimulatedStation $station, DropFolder $folder, ChangeLog $log, ClimateKeeper $keeper): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $source = $folder->name() === $request->request->getString('source') ? $folder : $station;
        if (null === $garden->climate) {
            return $this->seeOther('place', ['garden' => $visit->gardenId]);
        }
        $days = $source->days($visit->gardenId, $garden->climate, $garden->today->plus(-self::BACK), $garden->today->plus(-1));
        $fresh = DailyRecord::fromRows(array_filter($days->rows(), static fn (array $row): bool => !isset($garden->climate->measured->min[$row[0]])));
        $count = $log->record($visit->gardenId, $visit->accountId, static fn (int $n): string => \sprintf('%d days read from %s', $n, $source->words()), static fn (): int => $keeper->read($visit->gardenId, $fresh, $source->name()));
        if (0 === $count) {
            $this->addFlash('done', \sprintf('Nothing new from %s: all days up to yesterday are there.', $source->words()));

            return $this->seeOther('station', ['garden' => $visit->gardenId]);
        }

        return $this->kept($visit, \sprintf('%d days read from %s.', $count, $source->words()), $this->generateUrl('station', ['garden' => $visit->gardenId]));
    }

    /** Read off a gauge and typed; it takes the place of what a station said. */
    #[Route('/g/{garden}/station', name: 'reading_add', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function add(Request $request, Visit $visit, Snapshot $snapshot, SimulatedStation $station, DropFolder $folder, ChangeLog $log, ClimateKeeper $keeper): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $day = $entry->day('day');
        $i = Climate::index($day);
        $was = $garden->climate?->measured;
        $min = '' === $entry->raw('min') ? $was->min[$day->number] ?? $garden->climate->climate->min[$i] ?? 0.0 : $entry->float('min', -60, 55);
        $max = '' === $entry->raw('max') ? $was->max[$day->number] ?? $garden->climate->climate->max[$i] ?? 0.0 : $entry->float('max', -60, 55);
        $rain = '' === $entry->raw('rain') ? $was->rain[$day->number] ?? null : $entry->float('rain', 0, 600);
        if ($entry->isGood() && $garden->today->isBefore($day)) {
            $entry->fault('day', 'This day is still to come. Write a day that has passed.');
        }
        if ($entry->isGood() && $min > $max) {
            $entry->fault('min', \sprintf('The minimum lies above the maximum, %s. Write both, or check them.', round($max, 1)));
        }
        if ('' === $entry->raw('min').$entry->raw('max').$entry->raw('rain')) {
            $entry->fault('min', 'Write at least one of the three.');
        }
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $station, $folder, $entry);
        }
        $log->record($visit->gardenId, $visit->accountId, \sprintf('Reading of %s typed', $day->iso()), static fn (): int => $keeper->read($visit->gardenId, DailyRecord::fromRows([[$day->number, $min, $max, $rain]]), 'typed'));

        return $this->kept($visit, \sprintf('The reading of %s is kept.', $day->iso()), $this->generateUrl('station', ['garden' => $visit->gardenId]));
    }

    private function show(Request $request, Visit $visit, Garden $garden, SimulatedStation $station, DropFolder $folder, Entry $entry): Response
    {
        $rows = [];
        foreach (array_reverse($garden->climate?->measured->rows() ?? []) as [$day, $min, $max, $rain]) {
            $i = Climate::index(Day::of($day));
            $rows[] = ['day' => Day::of($day), 'min' => $min, 'max' => $max, 'rain' => $rain, 'off' => null === $garden->climate ? 0.0 : ($min + $max - $garden->climate->climate->min[$i] - $garden->climate->climate->max[$i]) / 2];
        }

        return $this->page($request, 'climate/station.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'entry' => $entry,
            'rows' => \array_slice($rows, 0, self::SHOWN),
            'count' => \count($rows),
            'outlook' => null === $garden->climate ? [] : array_map(static fn (array $row): array => ['day' => Day::of($row[0]), 'min' => $row[1], 'max' => $row[2], 'rain' => $row[3]], $station->outlook($visit->gardenId, $garden->climate, $garden->today)->rows()),
            'has_folder' => $folder->isThere($visit->gardenId),
        ], 'station', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
