<?php

declare(strict_types=1);

namespace App\Garden;

use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Proposal\Proposals;
use App\Rows\BedRecord;
use App\Rows\GardenRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Shelter\Protection;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/** What the ways to put a bed right have in common: the page they are on, and what goes with a bed that changes. */
abstract class BedPage extends Page
{
    public function __construct(protected readonly Snapshot $snapshot, protected readonly CropBook $book,
        protected readonly EntityManagerInterface $entities, protected readonly ChangeLog $log, protected readonly Proposals $proposals)
    {
    }

    /**
     * A change of a bed, unless it or what lies on it is not as it was looked at; then the page again, the typing kept.
     *
     * @param Entry              $entry what was typed; its "seen" is the mark of the page it was typed on
     * @param callable(): string $work  and the bed whose page comes next; '': the list
     */
    protected function changed(Request $request, Visit $visit, Garden $garden, Bed $bed, Entry $entry, string $words,
        callable $work): Response
    {
        $seen = $entry->raw('seen', self::mark($garden, $bed->name));
        try {
            $next = $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $bed, $seen,
                $work): string {
                if (self::mark($this->snapshot->of($visit->gardenId), $bed->name) !== $seen) {
                    throw Meanwhile::changed('Bed '.$bed->name);
                }

                return $work();
            });
        } catch (Meanwhile $meanwhile) {
            $entry->fault('seen', $meanwhile->said());
            $now = $this->snapshot->of($visit->gardenId);

            return $this->show($request, $visit, $now, $this->bed($now, $bed->name), $entry);
        }

        $id = ['garden' => $visit->gardenId];

        return $this->kept($visit, $words.'.', '' === $next ? $this->generateUrl('beds', $id)
            : $this->generateUrl('bed', [...$id, 'bed' => $next]));
    }

    /** What a bed and all that lies on it are to a person who looks at them; another one when they change. */
    private static function mark(Garden $garden, string $bed): string
    {
        return md5(serialize([$garden->bedsByName()[$bed] ?? null, $garden->plantings->on($bed)->all(),
            array_filter($garden->history, static fn (PastCrop $p): bool => $p->stretch->bed === $bed),
            array_filter($garden->protections, static fn (Protection $p): bool => $p->bed === $bed)]));
    }

    /** A proposal stands on the beds as they were: it is drawn up anew. */
    protected function dropProposal(string $gardenId): void
    {
        $this->proposals->drop($gardenId);
    }

    protected function choose(string $gardenId, Garden $garden, PlanRules $rules): void
    {
        $row = $this->entities->getRepository(GardenRecord::class)->findOneBy(['gardenId' => $gardenId]);
        $row?->choose($garden->settings->ruledBy($rules));
    }

    protected function bed(Garden $garden, string $bed): Bed
    {
        return $garden->bedsByName()[$bed] ?? throw $this->createNotFoundException('There is no such bed.');
    }

    protected function show(Request $request, Visit $visit, Garden $garden, Bed $bed, Entry $entry): Response
    {
        $change = $this->changeOf($garden, $bed);

        return $this->page($request, 'garden/bed_edit.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'bed' => $bed,
            'entry' => $entry,
            'hanging' => $change->hangingOn(),
            'stands' => $change->standing(),
            'crops' => $this->book,
            'walk' => array_values(array_diff(self::inBlock($garden, $bed->block), [$bed->name])),
            'before' => self::before($garden, $bed),
            'seen' => self::mark($garden, $bed->name),
        ], 'edit', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    protected function changeOf(Garden $garden, Bed $bed): BedChange
    {
        return new BedChange($garden, $this->book, $bed, $this->sayer);
    }

    protected function record(string $gardenId, string $bed): BedRecord
    {
        return $this->entities->getRepository(BedRecord::class)->findOneBy(['gardenId' => $gardenId, 'name' => $bed])
            ?? throw new \OutOfBoundsException('There is no such bed.');
    }

    /** @return list<string> names of a block's beds in walking order */
    protected static function inBlock(Garden $garden, string $block): array
    {
        return array_column(array_filter($garden->beds, static fn (Bed $bed): bool => $bed->block === $block), 'name');
    }

    /** The bed one comes from, in its block; empty: it is the first. */
    protected static function before(Garden $garden, Bed $bed): string
    {
        $names = self::inBlock($garden, $bed->block);

        return $names[(int) array_search($bed->name, $names, true) - 1] ?? '';
    }

    /**
     * A bed takes its place after another one of its block, and the block is numbered anew.
     *
     * @param BedRecord $one   a new one, or one of the block
     * @param string    $after name of the bed before it; empty: it comes first
     */
    protected function walk(string $gardenId, Garden $garden, string $block, BedRecord $one, string $after): void
    {
        $place = 0;
        '' !== $after ?: $one->walkOn($place++);
        foreach (self::inBlock($garden, $block) as $name) {
            $record = $this->record($gardenId, $name);
            $record === $one ?: $record->walkOn($place++);
            $name !== $after ?: $one->walkOn($place++);
        }
    }
}
