<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Crop\SheetFile;
use App\Map\MapDay;
use App\Plan\ShortList;
use App\Shared\Page;
use App\Shared\Paper;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use App\Wall\SupplyStrip;
use App\Wall\WallView;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Plan\Planner;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The wall, bed cards and the map on paper: looked at, then printed or taken along as PDF or SVG. */
final class SheetsController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly Planner $planner, private readonly CropBook $book,
        private readonly ShortList $short, private readonly WallSheets $wall, private readonly CardSheets $cards,
        private readonly MapSheet $map)
    {
    }

    #[Route('/g/{garden}/wall/paper', name: 'wall_paper', methods: ['GET'])]
    public function paper(Request $request, Visit $visit): Response
    {
        [$stand, $view] = $this->opened($request, $visit);
        [$printed, $size] = self::asked($request);
        $sheets = $this->sheets($request, $stand, $view, $printed, $size);

        return $this->page($request, 'plan/paper.html.twig', ['visit' => $visit, 'garden' => $stand->garden, 'view' => $view,
            'query' => $view->query(), 'printed' => $printed, 'size' => $size, 'count' => \count($sheets),
            'day' => MapDay::asked($request->query->getString('day'), $stand->garden)], 'paper');
    }

    #[Route('/g/{garden}/wall/paper.pdf', name: 'wall_paper_pdf', methods: ['GET'])]
    public function pdf(Request $request, Visit $visit): Response
    {
        [$stand, $view] = $this->opened($request, $visit);
        [$printed, $size] = self::asked($request);

        return Paper::file(SheetFiles::pdf($this->sheets($request, $stand, $view, $printed, $size), $stand->garden->name),
            'application/pdf',
            self::name($printed, $stand).'.pdf');
    }

    #[Route('/g/{garden}/wall/paper.svg', name: 'wall_paper_svg', methods: ['GET'])]
    public function svg(Request $request, Visit $visit): Response
    {
        [$stand, $view] = $this->opened($request, $visit);
        [$printed, $size] = self::asked($request);
        $sheets = $this->sheets($request, $stand, $view, $printed, $size);
        $number = max(1, min(\count($sheets), $request->query->getInt('sheet', 1)));

        return Paper::svg(SheetFiles::svg($sheets[$number - 1], $stand->garden->name), self::name($printed, $stand).'-'.$number);
    }

    /** The weeks below the beds: ISO dates, units of the product, metres. */
    #[Route('/g/{garden}/wall/weeks.csv', name: 'wall_csv', methods: ['GET'])]
    public function csv(Request $request, Visit $visit, SupplyStrip $supply): Response
    {
        [$stand, $view] = $this->opened($request, $visit);
        $weeks = [];
        foreach (null === $view->product ? [] : $supply->weeks($stand->garden, $stand->plan, $view->product) as $week) {
            $weeks[$week['monday']->number] = [$view->product->name ?? '', $view->product->unit ?? '', (string) $week['promised'],
                (string) $week['served'], (string) $week['short']];
        }
        $rows = [['week from', 'product', 'unit', 'promised', 'covered', 'short', 'free metres']];
        foreach ($supply->free($stand->garden, $view->place, $view->scale()) as $week) {
            $rows[] = [$week['monday']->iso(), ...$weeks[$week['monday']->number] ?? ['', '', '', '', ''], (string) round($week['free'],
                1)];
        }

        return Paper::csv(SheetFile::toCsv($rows), 'weeks');
    }

    #[Route('/g/{garden}/wall/season.ics', name: 'wall_calendar', methods: ['GET'])]
    public function calendar(Request $request, Visit $visit, SeasonCalendar $calendar, ClockInterface $clock): Response
    {
        [$stand] = $this->opened($request, $visit);

        return Paper::file($calendar->of($stand->garden, $visit->gardenId, $clock->now()->getTimestamp()), 'text/calendar; charset=UTF-8',
            'season.ics');
    }

    /** @return array{Standpoint, WallView} */
    private function opened(Request $request, Visit $visit): array
    {
        $stand = Standpoint::of($visit->gardenId, $this->snapshot, $this->planner, $this->book);
        $this->sayer->speakFor(Formatter::of($stand->garden->settings));

        return [$stand, WallView::of($request, $stand->garden, ($this->short->of($stand->garden, $stand->plan)[0] ?? null)?->product)];
    }

    /** @return array{Printed, PaperSize} */
    private static function asked(Request $request): array
    {
        return [Printed::tryFrom($request->query->getString('print')) ?? Printed::Wall,
            PaperSize::tryFrom($request->query->getString('paper')) ?? PaperSize::A3];
    }

    /** @return non-empty-list<Sheet> */
    private function sheets(Request $request, Standpoint $stand, WallView $view, Printed $printed, PaperSize $size): array
    {
        $day = MapDay::asked($request->query->getString('day'), $stand->garden);

        return match ($printed) {
            Printed::Wall => $this->wall->of($stand->garden, $stand->expected, $view, $size),
            Printed::Cards => $this->cards->of($stand->garden, $view->block, $size),
            Printed::Map => [$this->map->of($stand->garden, $day, $size)],
        };
    }

    private static function name(Printed $printed, Standpoint $stand): string
    {
        return $printed->value.'-'.$stand->garden->today->iso();
    }
}
