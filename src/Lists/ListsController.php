<?php

declare(strict_types=1);

namespace App\Lists;

use App\Crop\SheetFile;
use App\Crop\UnusableSheet;
use App\Log\Meanwhile;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\DBAL\Connection;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Paste\Cells;
use JollyFurrow\Paste\TooMuch;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\String\Slugger\AsciiSlugger;

/** Lists of the garden as CSV files: out, and in again after a first look at what would change. */
final class ListsController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $book, private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/file/lists', name: 'file_lists', methods: ['GET'])]
    public function lists(Request $request, Visit $visit): Response
    {
        return $this->page($request, 'garden/lists.html.twig', ['visit' => $visit, 'kinds' => ListKind::cases()], 'lists');
    }

    #[Route('/g/{garden}/file/lists/{list}.csv', name: 'file_lists_out', methods: ['GET'])]
    public function out(Visit $visit, ListKind $list, Connection $connection): Response
    {
        $garden = $this->snapshot->of($visit->gardenId, ListKind::Readings === $list);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $rows = match ($list) {
            ListKind::Notes => $this->notes($garden),
            ListKind::History => $this->history($visit, $connection),
            default => $this->listOf($list)->out($garden),
        };
        $name = (new AsciiSlugger())->slug($garden->name.' '.$list->value)->lower()->toString();

        return new Response(SheetFile::toCsv($rows), headers: [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $name.'.csv'),
            'Cache-Control' => 'no-store',
        ]);
    }

    /** A first look; or kept, when asked for and nothing is unclear. */
    #[Route('/g/{garden}/file/lists/{list}', name: 'file_lists_in', methods: ['POST'])]
    public function in(Request $request, Visit $visit, ListKind $list, ListKeeper $keeper): Response
    {
        if (!$list->comesIn()) {
            throw $this->createNotFoundException('This list only goes out.');
        }
        $garden = $this->snapshot->of($visit->gardenId, ListKind::Readings === $list);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        try {
            $rows = self::sent($request);
        } catch (TooMuch|UnusableSheet $bad) {
            return $this->look($request, $visit, $list, new ListReading([],
                [$bad instanceof TooMuch ? $this->sayer->why($bad) : $bad->getMessage()], 0), []);
        }
        $reading = $this->listOf($list)->read($garden, $rows);
        if ([] !== $reading->faults || '1' !== $request->request->getString('keep')) {
            return $this->look($request, $visit, $list, $reading, $rows);
        }
        try {
            $count = $keeper->keep($visit, $list, $this->listOf($list), $rows);
        } catch (Meanwhile $meanwhile) {
            return $this->look($request, $visit, $list, new ListReading([], [$this->sayer->why($meanwhile)], 0), $rows);
        }

        return $this->kept($visit, \sprintf('%s: %d row%s saved from the list.', ucfirst($list->value), $count, 1 === $count ? '' : 's'),
            $this->generateUrl('file_lists', ['garden' => $visit->gardenId]));
    }

    /** @param list<list<string>> $rows */
    private function look(Request $request, Visit $visit, ListKind $list, ListReading $reading, array $rows): Response
    {
        return $this->page($request, 'garden/list.html.twig', ['visit' => $visit, 'kind' => $list, 'reading' => $reading,
            'text' => SheetFile::toCsv($rows)], 'look', [] === $reading->faults ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /**
     * @return list<list<string>>
     *
     * @throws TooMuch
     * @throws UnusableSheet
     */
    private static function sent(Request $request): array
    {
        $file = $request->files->get('file');
        $bytes = $file instanceof UploadedFile && $file->isValid() ? (string) file_get_contents($file->getPathname(),
            length: Limits::SHEET_BYTES + 1) : $request->request->getString('text');
        if (SheetFile::isWorkbook($bytes)) {
            return SheetFile::shown($bytes);
        }

        return \strlen($bytes) > Limits::SHEET_BYTES ? throw TooMuch::bytes(Limits::SHEET_BYTES) : Cells::rows(Cells::decode($bytes));
    }

    /** @return GardenList<covariant object> */
    private function listOf(ListKind $kind): GardenList
    {
        return match ($kind) {
            ListKind::Beds => new BedsList($this->sayer, $this->book),
            ListKind::Outlets => new OutletsList($this->sayer),
            ListKind::Products => new ProductsList($this->sayer, $this->book),
            ListKind::Promises => new PromisesList($this->sayer),
            ListKind::Plantings => new PlantingsList($this->sayer, $this->book, $this->recipes),
            ListKind::Harvests => new HarvestsList($this->sayer, $this->book),
            default => new ReadingsList($this->sayer),
        };
    }

    /** @return list<list<string>> */
    private function notes(Garden $garden): array
    {
        return [['Day', 'What', 'Planting', 'Words'], ...array_map(fn (FieldNote $note): array => [$note->day->iso(),
            $this->sayer->word($note->what), $note->planting, $note->words], $garden->notes)];
    }

    /** @return list<list<string>> */
    private function history(Visit $visit, Connection $connection): array
    {
        $rows = $connection->fetchAllNumeric("SELECT c.number, datetime(c.at, 'unixepoch'), a.name, c.words "
            .'FROM log_entry c LEFT JOIN account a ON a.id = c.account_id WHERE c.garden_id = ? ORDER BY c.number', [$visit->gardenId]);

        return [['Number', 'When, UTC', 'Who', 'What'], ...array_map(static fn (array $row): array => array_map(
            static fn (mixed $cell): string => \is_scalar($cell) ? (string) $cell : '', array_values($row)), $rows)];
    }
}
