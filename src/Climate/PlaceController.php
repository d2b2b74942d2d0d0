<?php

declare(strict_types=1);

namespace App\Climate;

use App\Log\ChangeLog;
use App\Rows\GardenRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\ClimateKeeper;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\ClimateTable;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\FrostGrade;
use JollyFurrow\Climate\GuessedClimate;
use JollyFurrow\Climate\InvalidClimate;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Climate\RecordReader;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Measure\Units;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Paste\TooMuch;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The place: its year in pictures and numbers, and where the climate comes from. */
final class PlaceController extends Page
{
    /** The last of a record are readings too: what stands is reckoned from the weather as it was. Days. */
    private const READINGS_BACK = 420;

    #[Route('/g/{garden}/place', name: 'place', methods: ['GET'])]
    public function place(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        return $this->show($request, $visit, $snapshot->of($visit->gardenId, true), Entry::fresh());
    }

    #[Route('/g/{garden}/place/months', name: 'place_months', methods: ['POST'])]
    public function months(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, ClimateKeeper $keeper,
        EntityManagerInterface $entities): Response
    {
        $garden = $snapshot->of($visit->gardenId, true);
        $entry = new Entry($request->request->all());
        $isFahrenheit = 'F' === $entry->oneOf('temperature', ['C', 'F']);
        $isInch = 'in' === $entry->oneOf('rain_in', ['mm', 'in']);
        $typed = TypedMonths::of($entry->raw('pasted'), $isFahrenheit, $isInch);
        if (null === $typed->months) {
            $entry->fault('pasted', $typed->fault);
        }
        if (null !== $typed->months && $entry->isGood()) {
            $climate = PlaceClimate::fromMonths($typed->months, $garden->place->latitude, $garden->climate->isTimedByIt
                || $garden->climate->isGuess());
            $log->record($visit->gardenId, $visit->accountId, 'Climate from twelve monthly means',
                static function () use ($keeper, $visit, $climate, $garden, $entities): void {
                    $keeper->keep($visit->gardenId, $climate);
                    self::frostFollows($entities, $garden, $climate, $visit->gardenId);
                });

            return $this->kept($visit,
                'The climate is saved. New dates go by its heat and light; what is planned already stays until you draw up anew.',
                $this->generateUrl('place', ['garden' => $visit->gardenId]));
        }

        return $this->show($request, $visit, $garden, $entry);
    }

    #[Route('/g/{garden}/place/record', name: 'place_record', methods: ['POST'])]
    public function record(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, ClimateKeeper $keeper,
        EntityManagerInterface $entities): Response
    {
        $garden = $snapshot->of($visit->gardenId, true);
        $entry = new Entry($request->request->all());
        $file = $request->files->get('file');
        $bytes = $file instanceof UploadedFile && $file->isValid() ? (string) file_get_contents($file->getPathname(),
            length: Limits::RECORD_BYTES + 1) : '';
        $reader = new RecordReader();
        if ('' === $bytes || \strlen($bytes) > Limits::RECORD_BYTES) {
            $entry->fault('file', '' === $bytes ? 'Choose a CSV file with a line for each day.'
                : 'This file is larger than 8 MB; a hundred years of days are far smaller.');

            return $this->show($request, $visit, $garden, $entry);
        }
        try {
            $rows = Cells::rows(Cells::decode($bytes), Limits::RECORD_ROWS, Limits::RECORD_COLUMNS);
        } catch (TooMuch $much) {
            $entry->fault('file', $much->said());

            return $this->show($request, $visit, $garden, $entry);
        }
        $record = $reader->read($rows, $entry->raw('temperature'), $entry->raw('rain_in'));
        if (null === $record || [] !== $reader->doubts) {
            $entry->fault('file', null === $record ? $reader->problem
                : \sprintf('Is the %s in %s? Say so below and send the file again.', implode(' and the ', $reader->doubts),
                    \in_array('temperature', $reader->doubts, true) ? 'degrees Celsius or Fahrenheit' : 'millimetres or inches'));

            return $this->show($request, $visit, $garden, $entry, $reader);
        }
        try {
            $nearness = Nearness::tryFrom($entry->raw('fill'));
            $climate = PlaceClimate::fromRecord($record, $garden->place->latitude, $garden->climate->isTimedByIt
                || $garden->climate->isGuess(), fill: null === $nearness ? null
                    : GuessedClimate::of($garden->place->latitude, $garden->place->altitude, $nearness));
        } catch (InvalidClimate $bad) {
            $entry->fault('file', $bad->getMessage());

            return $this->show($request, $visit, $garden, $entry, $reader);
        }
        $words = \sprintf('Climate from a daily record: %d days, %d missing in between, %d lines left out', $record->days(),
            $record->gaps(), \count($reader->faults));
        $log->record($visit->gardenId, $visit->accountId, $words, static function () use ($keeper, $visit, $climate, $record,
            $garden, $entities): void {
            $keeper->keep($visit->gardenId, $climate);
            self::frostFollows($entities, $garden, $climate, $visit->gardenId);
            $keeper->read($visit->gardenId, $record->since($garden->today->number - self::READINGS_BACK), 'file');
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('place', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/place/timing', name: 'place_timing', methods: ['POST'])]
    public function timing(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, ClimateKeeper $keeper): Response
    {
        $timed = 'heat-and-light' === $request->request->getString('by');
        $climate = $snapshot->of($visit->gardenId, true)->climate->timed($timed);
        $log->record($visit->gardenId, $visit->accountId, $timed ? 'Dates go by heat and light' : 'Dates go by catalogue days',
            static fn () => $keeper->keep($visit->gardenId, $climate));

        return $this->seeOther('place', ['garden' => $visit->gardenId]);
    }

    /** For a garden that knows nothing better yet. */
    #[Route('/g/{garden}/place/guess', name: 'place_guess', methods: ['POST'])]
    public function guess(Request $request, Visit $visit, Snapshot $snapshot, ChangeLog $log, ClimateKeeper $keeper): Response
    {
        $garden = $snapshot->of($visit->gardenId, true);
        $nearness = Nearness::tryFrom($request->request->getString('nearness')) ?? Nearness::Between;
        $climate = PlaceClimate::fromMonths(GuessedClimate::of($garden->place->latitude, $garden->place->altitude, $nearness),
            $garden->place->latitude);
        $log->record($visit->gardenId, $visit->accountId, 'Climate guessed from latitude and altitude',
            static fn () => $keeper->keep($visit->gardenId, $climate));

        return $this->seeOther('place', ['garden' => $visit->gardenId]);
    }

    /** The frost days of the settings from the odds: the last that one year in ten still sees, the first that one in ten sees already. */
    #[Route('/g/{garden}/place/frost', name: 'place_frost', methods: ['POST'])]
    public function frost(Visit $visit, Snapshot $snapshot, ChangeLog $log, EntityManagerInterface $entities): Response
    {
        $garden = $snapshot->of($visit->gardenId, true);
        $record = $entities->getRepository(GardenRecord::class)->findOneBy(['gardenId' => $visit->gardenId]);
        [$last, $first] = self::oneInTen($garden->climate, $garden->place->latitude);
        if (null !== $record && null !== $last && null !== $first) {
            $place = new Place($garden->place->name, $garden->place->latitude, $garden->place->altitude, $last, $first);
            $log->record($visit->gardenId, $visit->accountId, \sprintf('Frost days from the climate: last %s, first %s',
                $this->sayer->formatter()->yearly($last)->text, $this->sayer->formatter()->yearly($first)->text),
                static fn () => $record->moveTo($place));
        }

        return $this->seeOther('place', ['garden' => $visit->gardenId]);
    }

    /** Frost days of a garden that were those of the climate before become those of the new one; typed ones stay. */
    private static function frostFollows(EntityManagerInterface $entities, Garden $garden, PlaceClimate $climate, string $gardenId): void
    {
        $place = $garden->place;
        [$wasLast, $wasFirst] = self::oneInTen($garden->climate, $place->latitude);
        [$last, $first] = self::oneInTen($climate, $place->latitude);
        if (null !== $last && null !== $first && $wasLast?->iso() === $place->lastFrost->iso()
            && $wasFirst?->iso() === $place->firstFrost->iso()) {
            $entities->getRepository(GardenRecord::class)->findOneBy(['gardenId' => $gardenId])?->moveTo(new Place($place->name,
                $place->latitude, $place->altitude, $last, $first));
        }
    }

    /** @return array{MonthDay|null, MonthDay|null} the last light frost of spring one year in ten still sees, and the first of autumn */
    private static function oneInTen(PlaceClimate $climate, float $latitude): array
    {
        return array_map(static function (string $which) use ($climate, $latitude): ?MonthDay {
            $day = $climate->frost->day(FrostGrade::Light, $which, 0.1, 2001, $latitude < 0);

            return null === $day ? null : MonthDay::parse(\sprintf('%02d-%02d', $day->month(), $day->dayOfMonth()));
        }, ['last', 'first']);
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry, ?RecordReader $reader = null): Response
    {
        $climate = $garden->climate;

        return $this->page($request, 'climate/place.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'climate' => $climate,
            'entry' => $entry,
            'bad_lines' => $reader?->shownFaults() ?? [],
            'chart' => YearChart::of($climate->climate, $garden->place->latitude,
                Formatter::of($garden->settings)),
            'table' => ClimateTable::of($climate->climate, $garden->place->latitude, $garden->today->year(), $climate->record),
            'guessed_months' => null === $climate->filledBy || null === $climate->record ? [] : Climate::monthsWithout($climate->record),
            'frost' => self::frostTable($garden, $climate->frost),
            'may_take_frost' => !\in_array(null, self::oneInTen($climate, $garden->place->latitude), true),
            'few' => FrostDates::FEW_YEARS,
            'knows_rain' => $climate->knowsRain(),
            'wet_day' => ClimateTable::RAIN_OF_A_WET_DAY,
            'is_us' => Units::UsCustomary === $garden->settings->units,
            'pasted' => null === $climate->months || $climate->isGuess() ? ''
                : implode("\n", array_map(static fn (array $line): string => implode("\t", $line),
                    [$climate->months->min, $climate->months->max, $climate->months->rain ?? []])),
            'nearness' => Nearness::cases(),
            'guess_error' => GuessedClimate::ERROR,
        ], 'place', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @return list<array{grade: FrostGrade, last: list<Day|null>, first: list<Day|null>, without: array<string, int|null>}> null: none */
    private static function frostTable(Garden $garden, FrostDates $frost): array
    {
        $south = $garden->place->latitude < 0;
        $year = $garden->today->year();
        $days = static fn (FrostGrade $grade, string $which): array => array_map(static fn (float $odds): ?Day => $frost->day($grade,
            $which, $odds, $year, $south), FrostDates::ODDS);

        return array_map(static fn (FrostGrade $grade): array => ['grade' => $grade, 'last' => $days($grade, 'last'),
            'first' => $days($grade, 'first'), 'without' => ['last' => $frost->without($grade, 'last'),
                'first' => $frost->without($grade, 'first')]], FrostGrade::cases());
    }
}
