<?php

declare(strict_types=1);

namespace App\Market;

use App\Books\StoreTables;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\ComingUp;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\TakeLine;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** How much to take to where it is taken and seen, from what like days sold. */
final class TakeController extends Page
{
    private const DAYS = 14;
    /** Cents of its price a unit left in the field or store may still bring, where it keeps (own model). */
    private const LEFT = 0.5;

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $crops, private readonly StoreTables $tables)
    {
    }

    #[Route('/g/{garden}/take', name: 'take', methods: ['GET'])]
    public function take(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->remembering($visit->gardenId, $this->snapshot->of($visit->gardenId));
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $seen = array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => null === $garden->market->termsOf(
            $o->key)->closesDays));
        $outlet = array_values(array_filter($seen, static fn (Outlet $o): bool => $o->key === $request->query->getString('outlet')))[0]
            ?? $seen[0] ?? null;
        $weather = Weathering::tryFrom($request->query->getString('weather')) ?? Weathering::Fair;
        $holiday = $request->query->getBoolean('holiday');
        $day = null === $outlet ? null : $outlet->days->between($garden->today, $garden->today->plus(self::DAYS))[0] ?? null;

        return $this->page($request, 'market/take.html.twig', ['visit' => $visit, 'garden' => $garden, 'seen' => $seen, 'outlet' => $outlet,
            'day' => $day, 'weather' => $weather, 'holiday' => $holiday, 'lines' => null === $outlet || null === $day ? []
                : $this->lines($garden, $outlet, $day, $weather, $holiday)], 'take');
    }

    /** @return list<TakeLine> what sells for most first */
    private function lines(Garden $garden, Outlet $outlet, Day $day, Weathering $weather, bool $isHoliday): array
    {
        $table = $this->tables->picking();
        $lines = [];
        foreach (ComingUp::for($outlet->key, $garden, $this->crops, MarketForecast::of($garden, $this->crops,
            1 + $day->since($garden->today)))->on($day) as $coming) {
            if (0 === $coming->likely) {
                continue;
            }
            $hours = $left = 0.0;
            foreach ($coming->product->parts as $part) {
                $crop = $this->crops->get($part->item);
                $hours += $part->units * $table->of($crop)->hours();
                $left += $crop->produce->stored || $crop->pattern->isStock() ? self::LEFT / \count($coming->product->parts) : 0.0;
            }
            $lines[] = TakeLine::of($garden, $outlet, $coming->product, $day, $weather, $isHoliday, $coming->likely, $hours,
                $left * $coming->price->each->cents);
        }
        usort($lines, static fn (TakeLine $a, TakeLine $b): int => $b->take->units * $b
            ->stake->price <=> $a->take->units * $a->stake->price);

        return $lines;
    }
}
