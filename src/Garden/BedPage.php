<?php

declare(strict_types=1);

namespace App\Garden;

use App\Log\ChangeLog;
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
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/** What the ways to put a bed right have in common: the page they are on, and what goes with a bed that changes. */
abstract class BedPage extends Page
{
    public function __construct(protected readonly Snapshot $snapshot, protected readonly CropBook $book,
        protected readonly EntityManagerInterface $entities, protected readonly ChangeLog $log, protected readonly Proposals $proposals)
    {
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
        return $this->page($request, 'garden/bed_edit.html.twig', ['visit' => $visit, 'garden' => $garden, 'bed' => $bed, 'entry' => $entry,
            'hanging' => $this->changeOf($garden, $bed)->hangingOn(), 'stands' => $this->changeOf($garden, $bed)->standing(),
                'crops' => $this->book, 'walk' => array_values(array_diff(self::inBlock($garden, $bed->block), [$bed->name])),
            'before' => self::before($garden, $bed)], 'edit', $entry->isGood() ? Response::HTTP_OK
                : Response::HTTP_UNPROCESSABLE_ENTITY);
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
