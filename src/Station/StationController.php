<?php

declare(strict_types=1);

namespace App\Station;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Store\ClimateKeeper;
use App\Store\Snapshot;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Time\Day;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Readings: from a station or its stand-in, or read off and typed; they replace the normals of the days that have passed. */
final class StationController extends Page
{
    private const BACK = 400;
    private const SHOWN = 21;

    public function __construct(private readonly Forms $forms, private readonly SimulatedStation $station,
        private readonly DropFolder $folder)
    {
    }

    #[Route('/g/{garden}/station', name: 'station', methods: ['GET'])]
    public function station(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        $garden = $snapshot->of($visit->gardenId);

        return $this->show($request, $visit, $garden, $this->forms->fresh(ReadingType::class, new ReadingData($garden->today->plus(-1))));
    }

    #[Route('/g/{garden}/station/read', name: 'station_read', methods: ['POST'])]
    public function read(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, ClimateKeeper $keeper): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $source = $this->folder->name() === $request->request->getString('source') ? $this->folder : $this->station;
        $days = $source->days($visit->gardenId, $garden->climate, $garden->today->plus(-self::BACK), $garden->today->plus(-1));
        $fresh = DailyRecord::fromRows(array_filter($days->rows(),
            static fn (array $row): bool => !isset($garden->climate->measured->min[$row[0]])));
        $words = static fn (int $n): string => \sprintf('%d days read from %s', $n, $source->words());
        $count = $log->record($visit->gardenId, $visit->accountId, $words, static fn (): int => $keeper->read($visit->gardenId, $fresh,
            $source->name()));
        if (0 === $count) {
            $this->addFlash('done', \sprintf('Nothing new from %s: all days up to yesterday are there.', $source->words()));

            return $this->seeOther('station', ['garden' => $visit->gardenId]);
        }

        return $this->kept($visit, $words($count).'.', $this->generateUrl('station', ['garden' => $visit->gardenId]));
    }

    /** Read off a gauge and typed; it takes the place of what a station said. */
    #[Route('/g/{garden}/station', name: 'reading_add', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function add(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, ClimateKeeper $keeper): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $typed = new ReadingData($garden->today->plus(-1));
        $form = $this->forms->sent($request, ReadingType::class, $typed);
        $row = $typed->row($garden->climate);
        if ($form->isValid()) {
            $this->check($form, $typed, $row, $garden);
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $form);
        }
        $read = static fn (): int => $keeper->read($visit->gardenId, DailyRecord::fromRows([$row]), 'typed');
        $log->record($visit->gardenId, $visit->accountId, \sprintf('Reading of %s typed', $this->sayer->shortDay($typed->day)), $read);

        return $this->kept($visit, 'The reading is saved.', $this->generateUrl('week' === $request->request->getString('back') ? 'week'
            : 'station',
            ['garden' => $visit->gardenId]));
    }

    /**
     * @param FormInterface<mixed>                 $form what is wrong goes to its fields
     * @param array{int, float, float, float|null} $row
     */
    private function check(FormInterface $form, ReadingData $typed, array $row, Garden $garden): void
    {
        [, $min, $max] = $row;
        if ($garden->today->isBefore($typed->day)) {
            Forms::fault($form, 'day', 'This day is still to come. Write a day that has passed.');
        }
        if ($typed->isEmpty()) {
            Forms::fault($form, 'min', 'Write at least one of the three.');
        } elseif ($min > $max) {
            $high = $this->sayer->formatter()->quantity(Quantity::of($max, Unit::Celsius), 1)->text;
            Forms::fault($form, 'min', \sprintf('The minimum lies above the maximum, %s. Write both, or check them.', $high));
        }
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, FormInterface $form): Response
    {
        $climate = $garden->climate;
        $rows = [];
        foreach (\array_slice(array_reverse($climate->measured->rows()), 0, self::SHOWN) as [$day, $min, $max, $rain]) {
            $i = Climate::index(Day::of($day));
            $off = ($min + $max - $climate->climate->min[$i] - $climate->climate->max[$i]) / 2;
            $rows[] = ['day' => Day::of($day), 'min' => $min, 'max' => $max, 'rain' => $rain, 'off' => $off];
        }
        $ahead = $this->station->outlook($visit->gardenId, $climate, $garden->today)->rows();

        return $this->page($request, 'climate/station.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'form' => $form->createView(),
            'rows' => $rows,
            'count' => \count($climate->measured->min),
            'outlook' => array_map(static fn (array $row): array => ['day' => Day::of($row[0]), 'min' => $row[1], 'max' => $row[2],
                'rain' => $row[3]], $ahead),
            'has_folder' => $this->folder->isThere($visit->gardenId),
        ], 'station', Forms::status($form));
    }
}
