<?php

declare(strict_types=1);

namespace JollyFurrow\Practice;

use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\Noted;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;

/**
 * A crew that is not there: it does what is due on a day, most of it in time, some a few days late, and now and then it
 * forgets a job, so that a season of practice has something to mend. The same seed fails in the same places.
 */
final readonly class Crew
{
    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /** The garden's day, worked. What cannot be done that day waits for the next. */
    public function day(Garden $garden): CrewDay
    {
        $seed = $garden->practice->seed ?? 0;
        $noted = [];
        foreach ($garden->notes as $note) {
            $noted[$note->planting.'/'.$note->what->value] = true;
        }
        $notes = [];
        foreach ($garden->plantings->all() as $planned) {
            foreach ([Happening::Begun, Happening::Sown, Happening::Planted, Happening::Picked, Happening::Finished] as $what) {
                $planting = $garden->plantings->get($planned->key);
                $due = null === $planting || isset($noted[$planned->key.'/'.$what->value]) ? null : $this->due($planting, $what);
                $late = Slip::of($seed, $planned->key, $what);
                if (null === $planting || null === $due || null === $late->days || $garden->today->isBefore($due->plus($late->days))) {
                    continue;
                }
                $note = new FieldNote($planting->key, $what, $garden->today, null, null, null, '');
                $after = $this->worked($garden, $planting, $note);
                if (null !== $after) {
                    $garden = $after;
                    $notes[] = $note;
                }
            }
        }

        return new CrewDay($garden->noting($notes), $notes);
    }

    /** The day a job of a planting is due; null: it has no such job as it stands. */
    private function due(Planting $planting, Happening $what): ?Day
    {
        $waits = \in_array($planting->standing, [Standing::Planned, Standing::InNursery], true);
        $grows = Standing::Growing === $planting->standing;

        return match ($what) {
            Happening::Begun => $waits && $planting->bedStart->isBefore($planting->ground) ? $planting->bedStart : null,
            Happening::Sown => Standing::Planned === $planting->standing ? $planting->sow : null,
            Happening::Planted => Standing::InNursery === $planting->standing ? $planting->ground : null,
            Happening::Picked => $grows ? $planting->ready : null,
            Happening::Finished => $grows && Pattern::Perennial !== $this->book->grown($planting->item, $planting->variety)->pattern
                ? $planting->clear : null,
            default => null,
        };
    }

    /** The garden after the note; null: the ground does not allow it that day. */
    private function worked(Garden $garden, Planting $planting, FieldNote $note): ?Garden
    {
        try {
            $noted = Noted::of($garden, $planting, $note, $this->book, $this->recipes);
        } catch (CannotBeDone) {
            return null;
        }
        $after = $noted->after();
        if ([$planting] == $after) {
            return $garden;
        }
        $then = $garden->with($garden->plantings->with(...$after));
        $isMoved = [$planting->dates()] != array_map(static fn (Planting $p) => $p->dates(), $after);
        $hard = $isMoved ? (new Conflicts($this->book))->hard($then, ...array_map(static fn (Planting $p): string => $p->key, $after)) : [];

        return [] === $hard ? $then : null;
    }
}
