<?php

declare(strict_types=1);

namespace App\Record;

use App\Books\GardenBooks;
use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Crop\NewCrop;
use App\Crop\SheetFile;
use App\Garden\BedSeries;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\PlantingKeeper;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use JollyFurrow\Beds\BedOutlook;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\Reforecast;
use JollyFurrow\Harvest\Seasons;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Units;
use JollyFurrow\Paste\Column;
use JollyFurrow\Paste\StandingRow;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Supply\MarketOutlook;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What stands in the ground: pasted or typed as rows, and what follows from it: ready when, beds free when, market days with nothing. */
final class StandingController extends Page
{
    private const WEEKS = 26;
    private const SHOWN = 12;
    /** Days a stretch is free. */
    private const WORTH_TELLING = 7;

    #[Route('/g/{garden}/standing', name: 'standing', methods: ['GET'])]
    public function stands(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        return $this->show($request, $visit, $snapshot, $book, Entry::fresh(), null);
    }

    /** The first look at a list: recognised, doubtful columns asked, nothing kept. */
    #[Route('/g/{garden}/standing/list', name: 'standing_list', methods: ['POST'])]
    public function paste(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, RecipeBook $recipes): Response
    {
        $file = $request->files->get('file');
        $bytes = $file instanceof UploadedFile && $file->isValid() ? (string) file_get_contents($file->getPathname())
            : $request->request->getString('text');
        $isNoText = \strlen($bytes) > Limits::LIST_BYTES || SheetFile::isWorkbook($bytes);
        $entry = new Entry($isNoText ? ['text' => ''] : $request->request->all());
        $garden = $snapshot->of($visit->gardenId);
        $list = PastedList::paste($bytes, $entry, $garden, $book, $recipes);
        if ($entry->isGood()) {
            $list->read(new Entry([] === $garden->beds ? ['make' => '1', ...self::usualBed($garden)] : []), $garden);
        }

        return $this->show($request, $visit, $snapshot, $book, $entry, $entry->isGood() ? $list : null);
    }

    /** The list again with its columns and cells as they are now: looked at, or kept whole. */
    #[Route('/g/{garden}/standing', name: 'standing_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, RecipeBook $recipes, ChangeLog $log,
        BedSeries $series, PlantingKeeper $plantings, Connection $connection, NewCrop $newCrop, GardenBooks $books): Response
    {
        $entry = new Entry($request->request->all());
        if ('' !== $entry->raw('grow')) {
            $this->grow($entry, $visit, $newCrop);
            $book = $books->with($snapshot->of($visit->gardenId)->own);
        }
        $garden = $snapshot->of($visit->gardenId);
        $list = PastedList::again($entry, $garden->settings->units, $book, $recipes);
        $list->read($entry, $garden);
        if (!$entry->isGood() || !$list->isGood() || '1' !== $entry->raw('keep')) {
            return $this->show($request, $visit, $snapshot, $book, $entry, $list);
        }
        $words = static fn (int $n): string => \sprintf('In the ground: %d planting%s entered%s', $n, 1 === $n ? '' : 's',
            [] === $list->newBeds ? '' : \sprintf(', %d beds made', \count($list->newBeds)));
        $count = $log->record($visit->gardenId, $visit->accountId, $words, static function () use ($visit, $snapshot, $list, $entry,
            $series, $plantings, $connection): int {
            $garden = $snapshot->of($visit->gardenId);
            $list->read($entry, $garden);
            if (!$list->isGood()) {
                return 0;
            }
            $beds = PlantingChanges::beds($connection, $visit->gardenId) + $series->add($visit->gardenId, $list->newBeds,
                \count($garden->blocks));
            $plantings->replace($visit->gardenId, [], $list->plantings(), $beds);

            return \count($list->plantings());
        });
        if (0 === $count) {
            return $this->show($request, $visit, $snapshot, $book, $entry, $list);
        }

        return $this->kept($visit, $words($count).'.', $this->generateUrl('standing', ['garden' => $visit->gardenId]));
    }

    /** A crop the list names and the book lacks is made from one that grows like it. */
    private function grow(Entry $entry, Visit $visit, NewCrop $newCrop): void
    {
        $row = $entry->raw('grow');
        try {
            $problem = $newCrop->make($visit->gardenId, $visit->accountId, $entry->raw('called-'.$row), $entry->raw('like-'.$row));
        } catch (Meanwhile $meanwhile) {
            $problem = $this->sayer->why($meanwhile);
        }
        if ('' !== $problem) {
            $entry->fault('like-'.$row, $problem);
        }
    }

    /** What stands takes the dates the weather has given it. */
    #[Route('/g/{garden}/standing/redate', name: 'standing_redate', methods: ['POST'])]
    public function redate(Visit $visit, CropBook $book, PlantingChanges $changes): Response
    {
        $left = 0;
        $kept = $changes->keep($visit->gardenId, $visit->accountId, [], static function (Garden $now) use ($book, &$left): Replacement {
            $moved = Reforecast::of($now, $book);
            $possible = Reforecast::possible($now, $book, $moved);
            $left = \count($moved) - \count($possible);

            return new Replacement(array_map(static fn (Reforecast $r): Planting => $r->was, $possible),
                array_map(static fn (Reforecast $r): Planting => $r->is, $possible),
                \sprintf('%d plantings dated anew from the weather as it was', \count($possible)));
        });
        if ($left > 0) {
            $this->addFlash('done',
                \sprintf('%d %s not: another planting takes the bed before. They stay in the list; move one of the two.', $left, 1 === $left ? 'is' : 'are'));
        }

        return $this->kept($visit, $kept->words.'.', $this->generateUrl('standing', ['garden' => $visit->gardenId]));
    }

    private function show(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, Entry $entry, ?PastedList $list): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $standing = $garden->plantings->where(static fn (Planting $p): bool => !$p->isOver($garden->today))->all();
        $seasons = self::seasons($standing, $book, $garden->today);
        usort($standing, static fn (Planting $a, Planting $b): int => [($seasons[$a->key]->start ?? $a->ready)->number, $a->key]
            <=> [($seasons[$b->key]->start ?? $b->ready)->number, $b->key]);
        $market = MarketOutlook::of($garden, $book, self::WEEKS);

        return $this->page($request, 'record/standing.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $book,
            'ids' => $snapshot->plantingIds($visit->gardenId),
            'ready' => $standing,
            'seasons' => $seasons,
            'begun' => array_filter($standing, static fn (Planting $p): bool => Standing::Planned !== $p->standing),
            'free' => \array_slice(self::comingFree($garden), 0, self::SHOWN),
            'market' => $market,
            'moved' => Reforecast::of($garden, $book),
            'totals' => array_map(static fn (Planting $p): Goods => $book->grown($p->item,
                $p->variety)->produce->goods(floor($p->yieldPerMetre() * $p->bedMetres())), $standing),
            'entry' => $entry,
            'list' => $list,
            'unknown' => $list?->unknownBeds($garden) ?? [],
            'usual_bed' => self::usualBed($garden),
            'column_choices' => Column::cases(),
            'said' => array_map(static fn (?StandingRow $row): ?Planting => $row?->planting, $list->rows ?? []),
        ], 'standing', $entry->isGood() && (null === $list || $list->isGood()) ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /**
     * The season each perennial is in, or its next one: it is ready then, whenever it was first.
     *
     * @param list<Planting> $standing
     *
     * @return array<string, Period> by key
     */
    private static function seasons(array $standing, CropBook $book, Day $today): array
    {
        $seasons = [];
        foreach ($standing as $planting) {
            $crop = $book->grown($planting->item, $planting->variety);
            if (Pattern::Perennial === $crop->pattern) {
                $seasons[$planting->key] = Seasons::at($planting, $crop->rhythm, $today);
            }
        }

        return $seasons;
    }

    /** @return array{bed_length: string, bed_width: string, bed_place: string} of beds that are still to be made */
    private static function usualBed(Garden $garden): array
    {
        return Units::Metric === $garden->settings->units ? ['bed_length' => '25 m', 'bed_width' => '75 cm', 'bed_place' => 'field']
            : ['bed_length' => '100 ft', 'bed_width' => '30 in', 'bed_place' => 'field'];
    }

    /** @return list<BedOutlook> stretches that are taken now, the one that comes free first first */
    private static function comingFree(Garden $garden): array
    {
        $onBed = [];
        foreach ($garden->plantings as $planting) {
            foreach (array_unique(array_map(static fn (Stretch $s): string => $s->bed, $planting->pieces)) as $bed) {
                $onBed[$bed][] = $planting;
            }
        }
        $free = array_merge([], ...array_map(static fn (Bed $bed): array => BedOutlook::of($bed, $onBed[$bed->name] ?? [],
            $garden->today), $garden->bedsInUse()));
        // What is taken again within days is no room for anything.
        $free = array_values(array_filter($free, static fn (BedOutlook $o): bool => !$o->isFreeNow()
            && (null === $o->until || $o->until->since($o->from) + 1 >= self::WORTH_TELLING)));
        usort($free, static fn (BedOutlook $a, BedOutlook $b): int => [$a->from->number, $a->stretch->bed] <=> [$b->from->number,
            $b->stretch->bed]);

        return $free;
    }
}
