<?php

declare(strict_types=1);

namespace App\Map;

use App\Codec\MapFile;
use App\Log\ChangeLog;
use App\Rows\GardenRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Map\BlockLay;
use JollyFurrow\Map\GroundMap;
use JollyFurrow\Map\GroundMark;
use JollyFurrow\Map\LaidBeds;
use JollyFurrow\Map\MarkKind;
use JollyFurrow\Measure\Length;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** How the blocks lie: typed, or read from outlines; paths, water and buildings. */
final class MapEditController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly ChangeLog $log,
        private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/map/edit', name: 'map_edit', methods: ['GET'])]
    public function edit(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->snapshot->of($visit->gardenId), Entry::fresh());
    }

    /** One block, a new path, water point or building, or one less: what is asked for is named by the button. */
    #[Route('/g/{garden}/map/edit', name: 'map_edit_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        [$map, $words] = match ($entry->oneOf('do', ['block', 'unplace', 'mark', 'unmark', 'file'])) {
            'block' => $this->block($entry, $garden),
            'unplace' => [$garden->settings->map->withoutBlock($entry->oneOf('block', $garden->blocks)), 'A block taken off the map'],
            'mark' => $this->mark($entry, $garden),
            'unmark' => [$garden->settings->map->withoutMark($entry->int('mark', 0, MapFile::MARKS)), 'A mark taken off the map'],
            'file' => $this->outlines($request, $entry, $garden),
            default => [$garden->settings->map, ''],
        };
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->entities->getRepository(GardenRecord::class)
            ->findOneBy(['gardenId' => $visit->gardenId])?->choose($garden->settings->mapped($map)));

        return $this->kept($visit, $words.'.', $this->generateUrl('map_edit', ['garden' => $visit->gardenId]));
    }

    /** @return array{GroundMap, string} */
    private function block(Entry $entry, Garden $garden): array
    {
        $block = $entry->oneOf('block', $garden->blocks);
        $east = self::place($entry, 'east', $garden);
        $north = self::place($entry, 'north', $garden);
        $bearing = $entry->float('bearing', 0, 360);

        return [$entry->isGood() ? $garden->settings->map->laying($block, new BlockLay($east, $north, $bearing)) : $garden->settings->map,
            \sprintf('Block %s laid on the map', $block)];
    }

    /** Metres, which may lie west or south of the corner. */
    private static function place(Entry $entry, string $field, Garden $garden): float
    {
        $raw = trim($entry->raw($field));
        $isBehind = str_starts_with($raw, '-');
        $plain = new Entry([$field => ltrim($raw, '-')]);
        $metres = $plain->length($field, $garden->settings->units->longUnit(), 0.0, MapFile::FARTHEST)->metres();
        foreach ($plain->faults() as $fault) {
            $entry->fault($field, $fault);
        }

        return $isBehind ? -$metres : $metres;
    }

    /** @return array{GroundMap, string} */
    private function mark(Entry $entry, Garden $garden): array
    {
        $map = $garden->settings->map;
        $kind = MarkKind::tryFrom($entry->raw('kind')) ?? MarkKind::Path;
        $points = [];
        foreach (array_filter(array_map(trim(...), explode(';', $entry->raw('points'))),
            static fn (string $p): bool => '' !== $p) as $one) {
            $pair = array_map(trim(...), explode(',', $one));
            $typed = new Entry(['east' => $pair[0], 'north' => $pair[1] ?? '']);
            $point = [self::place($typed, 'east', $garden), self::place($typed, 'north', $garden)];
            if (!$typed->isGood()) {
                $entry->fault('points', \sprintf('"%s" is no place. Write how far east and how far north, as in 0, 12; 40, 12.',
                    mb_substr($one, 0, 30)));
                break;
            }
            $points[] = $point;
        }
        if ($entry->isGood() && [] === $points) {
            $entry->fault('points', 'Write at least one place: how far east and how far north of the corner, as in 0, 12; 40, 12.');
        }
        if (\count($map->marks) >= MapFile::MARKS || \count($points) > MapFile::POINTS) {
            $entry->fault('points', \sprintf('At most %d marks fit on a map, of %d places each.', MapFile::MARKS, MapFile::POINTS));
        }
        $name = '' === $entry->raw('name') ? '' : $entry->text('name', 60);

        return [[] === $points || !$entry->isGood() ? $map : $map->marking(new GroundMark($kind, $name, $points)),
            '' === $name ? 'A mark set on the map' : $name.' set on the map'];
    }

    /** @return array{GroundMap, string} */
    private function outlines(Request $request, Entry $entry, Garden $garden): array
    {
        $file = $request->files->get('outlines');
        $json = $file instanceof UploadedFile && $file->isValid() ? (string) file_get_contents($file->getPathname())
            : $entry->raw('outlines');
        try {
            $map = GeoJsonFile::read($json, $garden);

            return [$map, \sprintf('%d blocks laid by their outlines', \count($map->blocks))];
        } catch (UnusableMap $bad) {
            $entry->fault('outlines', $bad->getMessage());

            return [$garden->settings->map, ''];
        }
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        $laid = LaidBeds::of($garden->blocks, $garden->bedsInUse(), $garden->settings->map)->blocks;
        $far = static fn (float $metres): string => ($metres < 0.0 ? '-'
            : '').$garden->settings->units->long(Length::fromMetres(abs($metres)));

        return $this->page($request, 'plan/map_edit.html.twig', ['visit' => $visit, 'garden' => $garden, 'entry' => $entry,
            'map' => $garden->settings->map, 'laid' => $laid, 'fresh' => Entry::fresh(), 'places' => array_map(
                static fn (BlockLay $lay): array => [$far($lay->east), $far($lay->north)], $laid)], 'edit', $entry->isGood()
                    ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
