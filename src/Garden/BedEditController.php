<?php

declare(strict_types=1);

namespace App\Garden;

use App\Rows\BedRecord;
use App\Rows\BlockRecord;
use App\Shared\Entry;
use App\Shared\Visit;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedName;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A bed put right: another name, block, length, width, place or place in the walk; or deleted, when nothing hangs on it. */
final class BedEditController extends BedPage
{
    #[Route('/g/{garden}/bed/{bed}/edit', name: 'bed_edit', methods: ['GET'])]
    public function form(Request $request, Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);

        return $this->show($request, $visit, $garden, $this->bed($garden, $bed), Entry::fresh());
    }

    #[Route('/g/{garden}/bed/{bed}/edit', name: 'bed_edit_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $was = $this->bed($garden, $bed);
        $entry = new Entry($request->request->all());
        $is = $this->read($entry, $garden, $was);
        if (null === $is) {
            return $this->show($request, $visit, $garden, $was, $entry);
        }
        $before = self::before($garden, $was);
        $after = $entry->raw('after', $before);
        $words = $is->name === $was->name ? \sprintf('Bed %s changed', $was->name) : \sprintf('Bed %s is called %s', $was->name, $is->name);

        return $this->changed($request, $visit, $garden, $was, $entry, $words,
            fn (): string => $this->change($visit->gardenId, $garden, $was, $is, $after === $before ? null : $after));
    }

    #[Route('/g/{garden}/bed/{bed}/delete', name: 'bed_edit_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit, string $bed, Remains $remains): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $found = $this->bed($garden, $bed);
        $hanging = $this->changeOf($garden, $found)->hangingOn();
        if ([] !== $hanging) {
            $entry = new Entry(['name' => $found->name]);
            $entry->fault('delete', \sprintf('%s hang on this bed. Move or delete them first, or keep the bed and let it rest.',
                implode(' and ', $hanging)));

            return $this->show($request, $visit, $garden, $found, $entry);
        }
        $words = 'Bed '.$found->name.' deleted';
        $work = function () use ($visit, $found, $garden, $remains): string {
            $rules = $garden->settings->rules->withoutBed($found->name, \in_array($found->name, $garden->blocks, true));
            $this->choose($visit->gardenId, $garden, $rules);
            $record = $this->entities->getRepository(BedRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'name' => $found->name]);
            if (null !== $record) {
                $remains->ofBed($visit->gardenId, $record->id);
                $this->entities->remove($record);
            }
            $this->dropProposal($visit->gardenId);

            return '';
        };

        return $this->changed($request, $visit, $garden, $found, new Entry($request->request->all()), $words, $work);
    }

    /** The bed as it would be; null: something is wrong, and told at its field. */
    private function read(Entry $entry, Garden $garden, Bed $was): ?Bed
    {
        $units = $garden->settings->units;
        $name = $entry->text('name', Limits::BED_NAME);
        $bad = '' === $name ? null : BedName::fault($name);
        if (null !== $bad) {
            $entry->fault('name', $bad);
        } elseif ($name !== $was->name && isset($garden->bedsByName()[$name])) {
            $entry->fault('name', \sprintf('There is a bed %s already.', $name));
        }
        $block = $entry->text('block', Limits::BLOCK_NAME);
        $length = $entry->length('length', $units->longUnit(), 0.5, 500);
        $width = $entry->length('width', $units->shortUnit(), 0.1, 10);
        $path = $entry->length('path', $units->shortUnit(), 0, 10);
        $place = $entry->choice('place', PlaceType::class);
        if ('' !== $entry->raw('after')) {
            $entry->oneOf('after', array_values(array_diff(self::inBlock($garden, $was->block), [$was->name])));
        }
        if ($entry->isGood()) {
            $change = $this->changeOf($garden, $was);
            $beyond = $change->beyond($length);
            if (null !== $beyond) {
                $entry->fault('length', \sprintf('%s, stands beyond that. Move it first, or leave the bed as long as it is.', $beyond));
            }
            $notFor = $change->notFor($place);
            if (null !== $notFor) {
                $entry->fault('place', \sprintf('%s, is for the %s. Move it first.', $notFor, $this->sayer->word($was->place)));
            }
        }

        return $entry->isGood() ? new Bed($name, $block, $was->position, $length, $width, $path, $place, $was->temper, $was->quarantine,
            $was->retired) : null;
    }

    /** Addresses within the garden go by row, so the plantings follow a name by themselves; the rules of the plan are told. */
    private function change(string $gardenId, Garden $garden, Bed $was, Bed $is, ?string $after): string
    {
        $record = $this->record($gardenId, $was->name);
        $record->measure($is->length, $is->width, $is->path, $is->place);
        if ($is->name !== $was->name) {
            $record->rename($is->name);
            $rules = $garden->settings->rules->renamingBed($was->name, $is->name, \in_array($was->name, $garden->blocks, true));
            $this->choose($gardenId, $garden, $rules);
        }
        $isOnlyNamed = null === $after && $is == new Bed($is->name, $was->block, $was->position, $was->length, $was->width, $was->path,
            $was->place, $was->temper, $was->quarantine, $was->retired);
        $isOnlyNamed ? $this->proposals->renameBed($gardenId, $was->name, $is->name) : $this->dropProposal($gardenId);
        if ($is->block !== $was->block) {
            $block = $this->entities->getRepository(BlockRecord::class)->findOneBy(['gardenId' => $gardenId, 'name' => $is->block]);
            if (null === $block) {
                $block = new BlockRecord($gardenId, $is->block, \count($garden->blocks));
                $this->entities->persist($block);
            }
            $record->walkTo($block->id, \count($garden->beds));
        } elseif (null !== $after) {
            $this->walk($gardenId, $garden, $was->block, $record, $after);
        }

        return $is->name;
    }
}
