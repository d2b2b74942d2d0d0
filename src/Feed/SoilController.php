<?php

declare(strict_types=1);

namespace App\Feed;

use App\Crop\SheetFile;
use App\Crop\UnusableSheet;
use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\Page;
use App\Shared\Visit;
use App\Soil\SoilKeeper;
use App\Soil\SoilTestRecord;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Laboratory\SoilReport;
use JollyFurrow\Lime\SoilSigns;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Time\Day;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The soil of the beds: what tests say, what they ask for; tests typed, or read from a laboratory's table. */
final class SoilController extends Page
{
    private const COLUMNS = 40;

    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly CropBook $crops,
        private readonly ChangeLog $log, private readonly EntityManagerInterface $entities, private readonly SoilKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/soil', name: 'soil', methods: ['GET'])]
    public function soil(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $test = self::found($garden, $request->query->getString('test'));
        $typed = null === $test ? new SoilTestData() : SoilTestData::of($test);
        $typed->day ??= $garden->today;
        $typed->place = '' === $typed->place ? $request->query->getString('place') : $typed->place;

        return $this->show($request, $visit, $garden, $test, $this->form($garden, $typed));
    }

    #[Route('/g/{garden}/soil', name: 'soil_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $was = self::found($garden, $request->request->getString('test'));
        $typed = null === $was ? new SoilTestData() : SoilTestData::of($was);
        $form = $this->form($garden, $typed)->submit($request->request->all());
        $this->check($form, $typed, $garden, null === $was);
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $was, $form);
        }
        $test = $typed->test($was->key ?? self::free($garden), $garden);
        $words = \sprintf('Soil test of %s, %s', $typed->place, $this->sayer->shortDay($test->day));
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->keeper->test($visit->gardenId, [$test]));

        return $this->kept($visit, $words.'.', $this->generateUrl('soil', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/soil/delete', name: 'soil_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $row = $this->row($visit, $request->request->getString('test'));
        $this->log->record($visit->gardenId, $visit->accountId, 'A soil test deleted', fn () => $this->entities->remove($row));

        return $this->kept($visit, 'A soil test deleted.', $this->generateUrl('soil', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/soil/report', name: 'soil_report', methods: ['GET'])]
    public function report(Request $request, Visit $visit): Response
    {
        return $this->read($request, $visit, $this->snapshot->of($visit->gardenId), '', '');
    }

    /** Looked over first, with what it does not say asked; then kept as one change. */
    #[Route('/g/{garden}/soil/report', name: 'soil_report_keep', methods: ['POST'])]
    public function keepReport(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $file = $request->files->get('file');
        $text = $request->request->getString('text');
        try {
            $text = $file instanceof UploadedFile ? self::textOf((string) file_get_contents($file->getPathname())) : $text;
            $report = $this->reportOf($text, $request, $garden);
            $day = '' === $request->request->getString('day') ? $garden->today : Day::parse($request->request->getString('day'));
        } catch (UnusableSheet|BadInput $wrong) {
            return $this->read($request, $visit, $garden, $text, $this->sayer->why($wrong));
        }
        if ('keep' !== $request->request->getString('do') || !$report->isPlain()) {
            return $this->read($request, $visit, $garden, $text, [] === $report->rows
                ? 'No table of samples was found here. It wants a row of headings '
                .'such as Sample, pH, P (Olsen) mg/kg.' : '');
        }
        $tests = $report->tests($day, array_map(static fn (SoilTest $t): string => $t->key,
            $garden->soil->tests), mb_substr($request->request->getString('words'), 0, 120));
        $words = \sprintf('%d soil test%s read from a report', \count($tests), 1 === \count($tests) ? '' : 's');
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->keeper->test($visit->gardenId, $tests));

        return $this->kept($visit, $words.'.', $this->generateUrl('soil', ['garden' => $visit->gardenId]));
    }

    private function reportOf(string $text, Request $request, Garden $garden): SoilReport
    {
        $answers = array_filter($request->request->all(), is_string(...));

        return SoilReport::read(Cells::rows(Cells::decode($text), mostColumns: self::COLUMNS), $answers, $garden);
    }

    private static function textOf(string $bytes): string
    {
        return SheetFile::isWorkbook($bytes) ? SheetFile::toCsv(SheetFile::shown($bytes)) : Cells::decode($bytes);
    }

    private function read(Request $request, Visit $visit, Garden $garden, string $text, string $problem): Response
    {
        $report = '' === trim($text) || '' !== $problem ? null : $this->reportOf($text, $request, $garden);

        return $this->page($request, 'feed/report.html.twig', ['visit' => $visit, 'garden' => $garden, 'text' => $text, 'report' => $report,
            'problem' => $problem, 'places' => Places::of($garden), 'answers' => array_filter($request->request->all(), is_string(...))],
            'report', '' === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @param FormInterface<mixed> $form what is wrong goes to its fields */
    private function check(FormInterface $form, SoilTestData $typed, Garden $garden, bool $isNew): void
    {
        if (!$form->isValid()) {
            return;
        }
        if ($typed->isEmpty()) {
            Forms::fault($form, 'ph', 'Write at least one thing that was found.');
        }
        foreach ([['p', 'pBy'], ['k', 'kBy'], ['salt', 'saltBy']] as [$value, $by]) {
            if (null !== $typed->{$value} && null === $typed->{$by}) {
                Forms::fault($form, $by, 'A number means nothing without it. The report names it.');
            }
        }
        if (null !== $typed->day && $garden->today->isBefore($typed->day)) {
            Forms::fault($form, 'day', 'This day is still to come. Write a day that has passed.');
        }
        if ($isNew && \count($garden->soil->tests) >= Limits::SOIL_TESTS) {
            Forms::fault($form, 'place', \sprintf('At most %d tests fit here.', Limits::SOIL_TESTS));
        }
    }

    private static function found(Garden $garden, string $key): ?SoilTest
    {
        return array_values(array_filter($garden->soil->tests, static fn (SoilTest $t): bool => $t->key === $key))[0] ?? null;
    }

    private static function free(Garden $garden): string
    {
        for ($n = 1; null !== self::found($garden, 't'.$n); ++$n) {
        }

        return 't'.$n;
    }

    private function row(Visit $visit, string $key): SoilTestRecord
    {
        return $this->entities->getRepository(SoilTestRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'key' => $key])
            ?? throw $this->createNotFoundException('There is no such test.');
    }

    /** @return FormInterface<mixed> */
    private function form(Garden $garden, SoilTestData $typed): FormInterface
    {
        return $this->forms->fresh(SoilTestType::class, $typed, ['places' => Places::flat($garden)]);
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, ?SoilTest $test, FormInterface $form): Response
    {
        return $this->page($request, 'feed/soil.html.twig', ['visit' => $visit, 'garden' => $garden, 'map' => SoilMap::of($garden),
            'signs' => SoilSigns::of($garden, $this->crops), 'test' => $test, 'form' => $form->createView(),
            'isOpen' => null !== $test || $form->isSubmitted() || '' !== $request->query->getString('place')], 'soil',
            Forms::status($form));
    }
}
