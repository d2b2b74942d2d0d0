<?php

declare(strict_types=1);

namespace App\Garden;

use App\Change\PlantingChanges;
use App\Rows\BedRecord;
use App\Rows\PastCropRecord;
use App\Rows\ProtectionRecord;
use App\Shared\Entry;
use App\Shared\Visit;
use App\Store\PlantingKeeper;
use Doctrine\DBAL\Connection;
use JollyFurrow\Beds\SplitBed;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedName;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Shelter\Protection;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A bed made two, or taken out of use and back into it. */
final class BedShapeController extends BedPage
{
    private const LEAST_METRES = 0.5;

    #[Route('/g/{garden}/bed/{bed}/split', name: 'bed_edit_split', methods: ['POST'])]
    public function split(Request $request, Visit $visit, string $bed, PlantingKeeper $plantings, Connection $connection): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $was = $this->bed($garden, $bed);
        $entry = new Entry($request->request->all());
        $split = $this->read($entry, $garden, $was);
        if (null === $split) {
            return $this->show($request, $visit, $garden, $was, $entry);
        }
        $words = \sprintf('Bed %s split: %s from %s on', $was->name, $split->second()->name, $this->sayer->long($split->first()->length));

        return $this->changed($request, $visit, $garden, $was, $entry, $words,
            fn (): string => $this->cut($visit->gardenId, $garden, $was, $split, $plantings, $connection));
    }

    #[Route('/g/{garden}/bed/{bed}/retire', name: 'bed_edit_retire', methods: ['POST'])]
    public function retire(Request $request, Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $found = $this->bed($garden, $bed);
        $change = $this->changeOf($garden, $found);
        $standing = $change->standing();
        if (null === $found->retired && null !== $standing) {
            $entry = new Entry([]);
            $entry->fault('retire', \sprintf('%s, stands or is planned there. Move or clear it first.', $change->called($standing)));

            return $this->show($request, $visit, $garden, $found, $entry);
        }
        $words = \sprintf(null === $found->retired ? 'Bed %s retired' : 'Bed %s in use again', $found->name);
        $work = function () use ($visit, $garden, $found): string {
            $this->record($visit->gardenId, $found->name)->retire(null === $found->retired ? $garden->today : null);
            $this->dropProposal($visit->gardenId);

            return $found->name;
        };

        return $this->changed($request, $visit, $garden, $found, new Entry($request->request->all()), $words, $work);
    }

    /** Null: something is wrong, and told at its field. */
    private function read(Entry $entry, Garden $garden, Bed $bed): ?SplitBed
    {
        $name = $entry->text('second', Limits::BED_NAME);
        $bad = '' === $name ? null : BedName::fault($name);
        if (null !== $bad) {
            $entry->fault('second', $bad);
        } elseif (isset($garden->bedsByName()[$name])) {
            $entry->fault('second', \sprintf('There is a bed %s already.', $name));
        }
        if (\count($garden->beds) >= Limits::BEDS) {
            $entry->fault('second', \sprintf('A garden has at most %d beds here.', Limits::BEDS));
        }
        $most = $bed->length->metres() - self::LEAST_METRES;
        $at = $entry->length('at', $garden->settings->units->longUnit(), self::LEAST_METRES, max(self::LEAST_METRES, $most));
        if (!$entry->isGood()) {
            return null;
        }
        $split = new SplitBed($bed, $at, $name);
        $across = $split->across($garden);
        if (null !== $across) {
            $entry->fault('at', \sprintf('%s, lies across that. Cut it elsewhere, or move it first.',
                $this->changeOf($garden, $bed)->called($across)));
        }

        return $entry->isGood() ? $split : null;
    }

    private function cut(string $gardenId, Garden $garden, Bed $was, SplitBed $split, PlantingKeeper $plantings,
        Connection $connection): string
    {
        $record = $this->record($gardenId, $was->name);
        $first = $split->first();
        $second = new BedRecord($gardenId, $record->blockId(), $split->second());
        $this->entities->persist($second);
        $this->walk($gardenId, $garden, $was->block, $second, $was->name);
        $record->measure($first->length, $first->width, $first->path, $first->place);
        $beds = [...PlantingChanges::beds($connection, $gardenId), $split->second()->name => $second->id];
        $old = $garden->plantings->on($was->name)->all();
        $plantings->replace($gardenId, $old, $split->plantings($garden), $beds);
        foreach ($this->entities->getRepository(PastCropRecord::class)->findBy(['gardenId' => $gardenId,
            'bedId' => $record->id]) as $past) {
            $this->entities->remove($past);
        }
        foreach (array_filter($garden->history, static fn (PastCrop $p): bool => $p->stretch->bed === $was->name) as $past) {
            foreach ($split->history($past) as $part) {
                $this->entities->persist(new PastCropRecord($gardenId, $beds[$part->stretch->bed], $part));
            }
        }
        foreach (array_filter($garden->protections, static fn (Protection $p): bool => $p->bed === $was->name) as $over) {
            $this->entities->persist(new ProtectionRecord($gardenId, $second->id, Protection::overBed($split->second()->name, $over->cover,
                $over->purpose, $over->days)));
        }
        $this->choose($gardenId, $garden, $garden->settings->rules->splittingBed($was->name, $split->second()->name,
            \in_array($was->name, $garden->blocks, true)));
        $this->dropProposal($gardenId);

        return $was->name;
    }
}
