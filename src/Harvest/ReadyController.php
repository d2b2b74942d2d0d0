<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Books\StoreTables;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Forecast\ForecastLine;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What is ready, what may be, what comes next: when, by what sign, and how much there is on the next market days. */
final class ReadyController extends Page
{
    private const WEEK = 7;
    private const NEAR = 14;

    public function __construct(private readonly CropBook $crops, private readonly StoreTables $tables)
    {
    }

    #[Route('/g/{garden}/ready', name: 'ready', methods: ['GET'])]
    public function ready(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $rows = $this->rows($garden);
        $today = $garden->today;
        $near = $today->plus(self::NEAR)->number;
        $coming = array_values(array_filter($rows, static fn (ReadyRow $r): bool => !$r->isReady($today) && !$r->isOpen));
        $is = static fn (\Closure $which, array $of): array => array_values(array_filter($of, $which));
        $weeks = [];
        for ($day = $today->week()->monday()->plus(self::WEEK); $day->since($today) < ReadyRow::AHEAD; $day = $day->plus(self::WEEK)) {
            $weeks[] = ['day' => $day, 'x' => ReadyRow::x($today, $day->number)];
        }

        return $this->page($request, 'harvest/ready.html.twig', ['visit' => $visit, 'garden' => $garden, 'ids' => $snapshot->plantingIds(
            $visit->gardenId), 'groups' => array_filter(['Look now' => $is(static fn (ReadyRow $r): bool => $r->isOpen, $rows),
                'Within two weeks' => $is(static fn (ReadyRow $r): bool => $r->days->likely <= $near, $coming),
                'Later' => $is(static fn (ReadyRow $r): bool => $r->days->likely > $near, $coming),
                'Ready' => $is(static fn (ReadyRow $r): bool => $r->isReady($today), $rows)]), 'next' => $coming[0] ?? null,
                    'rows' => $rows,
            'weeks' => $weeks, 'todayX' => ReadyRow::x($today, $today->number), 'days' => $this->forecast($garden),
                'outlet_names' => array_combine(array_column($garden->outlets, 'key'),
                    array_column($garden->outlets, 'name'))], 'ready');
    }

    /** @return list<ReadyRow> the earliest first */
    private function rows(Garden $garden): array
    {
        $until = $garden->today->plus(ReadyRow::AHEAD);
        $table = $this->tables->readiness();
        $rows = [];
        foreach ($garden->plantings as $planting) {
            $crop = $this->crops->grown($planting->item, $planting->variety);
            if (Standing::Growing === $planting->standing && Pattern::GreenManure !== $crop->pattern && !$until->isBefore($planting->ready)
                && !$planting->clear->isBefore($garden->today) && $this->givesNow($planting, $garden)) {
                $rows[] = ReadyRow::of($garden, $planting, $crop, $table->of($crop));
            }
        }
        usort($rows, static fn (ReadyRow $a, ReadyRow $b): int => [$a->days->likely, $a->crop->name, $a->planting->key]
            <=> [$b->days->likely, $b->crop->name, $b->planting->key]);

        return $rows;
    }

    /** A perennial between its seasons is not on its way. */
    private function givesNow(Planting $planting, Garden $garden): bool
    {
        return $planting->clear->since($garden->today) < 400 || $garden->today->isBefore($planting->ready);
    }

    /** @return array<int, array{day: \JollyFurrow\Time\Day, lines: list<ForecastLine>}> the next two market days */
    private function forecast(Garden $garden): array
    {
        $days = [];
        foreach (MarketForecast::of($garden, $this->crops, 2 * self::WEEK)->lines as $line) {
            $number = $line->day->number;
            $days[$number] ??= ['day' => $line->day, 'lines' => []];
            $days[$number]['lines'][] = $line;
        }

        return $days;
    }
}
