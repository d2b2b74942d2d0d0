<?php

declare(strict_types=1);

namespace App\Crop;

use App\Books\GardenBooks;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Book\BookColumns;
use JollyFurrow\Book\BookSheet;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\BookChange;
use JollyFurrow\Paste\TooMuch;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The crop book out to a sheet and in from one, line by line. */
final class BookFileController extends Page
{
    public function __construct(private readonly GardenBooks $books, private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/crops.{format}', name: 'crops_export', requirements: ['format' => 'csv|xlsx'], methods: ['GET'], priority: 2)]
    public function export(Request $request, Visit $visit, string $format, Snapshot $snapshot): Response
    {
        $own = $snapshot->of($visit->gardenId)->own;
        $rows = $request->query->getBoolean('own') ? array_map(static fn (OwnValue $v): array => $v->row(), $own)
            : $this->books->rows($own);
        $rows = [BookSheet::COLUMNS, ...array_map(static fn (array $row): array => [$row['crop'], $row['value'], $row['is'],
            $row['source'], $row['note']], $rows)];

        return new Response('csv' === $format ? SheetFile::toCsv($rows) : SheetFile::toWorkbook($rows), headers: [
            'Content-Type' => 'csv' === $format ? 'text/csv; charset=UTF-8'
                : 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
            'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, 'crop-values.'.$format),
            'Cache-Control' => 'no-store',
        ]);
    }

    #[Route('/g/{garden}/crops/sheet/in', name: 'crops_import', methods: ['GET'], priority: 2)]
    public function form(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        return $this->show($request, $visit, $snapshot->of($visit->gardenId), '', null, '');
    }

    #[Route('/g/{garden}/crops/sheet/in', name: 'crops_import_keep', methods: ['POST'], priority: 2)]
    public function import(Request $request, Visit $visit, Snapshot $snapshot, BookEdit $edit): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        try {
            $rows = self::typed($request);
        } catch (BadInput $bad) {
            return $this->show($request, $visit, $garden, mb_scrub(substr($request->request->getString('text'), 0, Limits::LIST_BYTES)),
                null,
                $this->sayer->why($bad));
        }
        $text = SheetFile::toCsv($rows);
        $sheet = BookSheet::read($rows, $this->books->rows([]), array_map(static fn (Recipe $r): string => $r->key, $this->recipes->all()));
        if ([] !== $sheet->faults || 'try' === $entry->raw('do')) {
            return $this->show($request, $visit, $garden, $text, $sheet, '');
        }
        $words = \sprintf('Crop values from a sheet: %d of our own', \count($sheet->values));
        try {
            $edit->keep($visit->gardenId, $visit->accountId, $entry->raw('seen'), $sheet->over($garden->own),
                'follow' === $entry->raw('do'), $words);
        } catch (Meanwhile $meanwhile) {
            return $this->show($request, $visit, $garden, $text, $sheet, $this->sayer->why($meanwhile));
        }

        return $this->kept($visit, $words.'.', $this->generateUrl('crops', ['garden' => $visit->gardenId]));
    }

    /** @return list<list<string>> */
    private static function typed(Request $request): array
    {
        $file = $request->files->get('file');
        if ($file instanceof UploadedFile) {
            return SheetFile::read($file->isValid() ? (string) file_get_contents($file->getPathname(), length: Limits::SHEET_BYTES + 1)
                : throw TooMuch::bytes(Limits::SHEET_BYTES), Limits::BOOK_ROWS);
        }

        return SheetFile::read(ltrim($request->request->getString('text')), Limits::BOOK_ROWS);
    }

    private function show(Request $request, Visit $visit, Garden $garden, string $text, ?BookSheet $sheet, string $problem): Response
    {
        $own = null === $sheet || [] !== $sheet->faults ? null : $sheet->over($garden->own);

        return $this->page($request, 'crop/sheet.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'text' => $text,
            'columns' => BookColumns::all(),
            'sheet' => $sheet,
            'change' => null === $own ? null : BookChange::of($garden, $this->books->with($garden->own), $this->books->built($own),
                $this->recipes),
            'crops' => null === $own ? $this->books->with($garden->own) : $this->books->built($own),
            'problem' => $problem,
            'seen' => BookEdit::mark($garden),
        ], 'sheet', '' !== $problem || [] !== ($sheet->faults ?? []) ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK);
    }
}
