<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Crop\BookEdit;
use App\Log\Meanwhile;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\BandAlarm;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Keep\OwnLife;
use JollyFurrow\Stock\RoomWeeks;
use JollyFurrow\Stock\StoreForecast;
use JollyFurrow\Stock\WayOut;
use JollyFurrow\Stock\WaysOut;
use JollyFurrow\Storage\CuringProgress;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What lies where, what is sold first, until when it lasts, and when a room is full. */
final class StoreController extends Page
{
    private const FIRST = 12;

    #[Route('/g/{garden}/store', name: 'store', methods: ['GET'])]
    public function store(Request $request, Visit $visit, Snapshot $snapshot, CropBook $crops): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $forecast = StoreForecast::of($garden, $crops);

        return $this->page($request, 'harvest/store.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $crops,
            'forecast' => $forecast, 'ways' => self::ways($garden, $forecast),
            'ids' => $snapshot->plantingIds($visit->gardenId), 'alarms' => BandAlarm::all($garden),
            'curing' => self::curing($garden, $forecast->holdings->all), 'own' => OwnLife::all($garden, $crops),
                'short' => $forecast->short(), 'chart' => StoreChart::of($forecast, $crops),
            'first' => \array_slice($forecast->holdings->all, 0, self::FIRST),
            'more' => max(0, \count($forecast->holdings->all) - self::FIRST)], 'store');
    }

    /** What the garden's own lots say takes the place of the handbook's days. */
    #[Route('/g/{garden}/store/own/{crop}', name: 'store_own', methods: ['POST'])]
    public function own(Visit $visit, string $crop, Snapshot $snapshot, CropBook $crops, BookEdit $edit): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $own = array_values(array_filter(OwnLife::all($garden, $crops), static fn (OwnLife $o): bool => $o->crop->key === $crop))[0]
            ?? throw $this->createNotFoundException('There are no records of it.');
        $words = \sprintf('%s keeps %d to %d days by own records', $own->crop->name, $own->least, $own->most);
        try {
            $edit->keep($visit->gardenId, $visit->accountId, BookEdit::mark($garden), [...array_values(array_filter($garden->own,
                static fn (OwnValue $v): bool => $v->crop !== $crop || 'store_days' !== $v->name)), new OwnValue($crop, 'store_days',
                    $own->written(), \sprintf('%d lots, %d of them spoiled', $own->seen, $own->ended))], false, $words);
        } catch (Meanwhile $meanwhile) {
            $this->addFlash('trouble', $this->sayer->why($meanwhile));

            return $this->seeOther('store', ['garden' => $visit->gardenId]);
        }

        return $this->kept($visit, $words.'.', $this->generateUrl('store', ['garden' => $visit->gardenId]));
    }

    /**
     * @param list<Holding> $holdings
     *
     * @return list<array{Holding, CuringProgress}> what still cures, or should be looked at
     */
    private static function curing(Garden $garden, array $holdings): array
    {
        $curing = [];
        foreach ($holdings as $holding) {
            $progress = CuringProgress::of($holding->lot, $holding->needs, $garden->today);
            null === $progress ?: $curing[] = [$holding, $progress];
        }

        return $curing;
    }

    /** @return list<array{RoomWeeks, list<WayOut>}> places that get full, with ways out */
    private static function ways(Garden $garden, StoreForecast $forecast): array
    {
        $full = array_values(array_filter($forecast->rooms, static fn (RoomWeeks $r): bool => null !== $r->fullFrom()));

        return array_map(static fn (RoomWeeks $r): array => [$r, WaysOut::of($garden, $forecast, $r)], $full);
    }
}
