<?php

declare(strict_types=1);

namespace JollyFurrow\Practice;

use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\Noted;
use JollyFurrow\Job\Placing;
use JollyFurrow\Need\Needs;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Task\TaskBook;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\CareRule;

/**
 * A crew that is not there: it does what is due on a day, most of it in time, some a few days late, and now and then it
 * forgets a job, so that a season of practice has something to mend. The same seed fails in the same places.
 */
final class Crew
{
    /** Jobs that fell due so many days ago are still come to. */
    private const BACK = 14;

    /** @var array{list<Promise>, Needs}|null what is promised does not change while it works */
    private ?array $needs = null;

    /** @param list<CareRule> $care that ships */
    public function __construct(private readonly CropBook $book, private readonly RecipeBook $recipes, private readonly TaskBook $jobs,
        private readonly array $care)
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

        $garden = $garden->noting($notes);
        $site = $this->site($garden);
        $marks = $this->ticked($site);

        return new CrewDay($this->broughtIn($site, $notes)->keeping($garden->diary->marking($marks)), $notes, $marks);
    }

    /** @return list<Mark> jobs that are only ticked, as slips let them */
    private function ticked(Site $site): array
    {
        $garden = $site->garden;
        $placing = new Placing($garden->today, $site->weather, $garden->diary->marks);
        $marks = [];
        foreach (TaskList::usual()->of($site, Period::fromFirstToLast($garden->today->plus(-self::BACK), $garden->today)) as $task) {
            $late = Slip::of($garden->practice->seed ?? 0, $task->id->text(), $task->kind->happening() ?? Happening::Seen);
            $isTime = null === $task->kind->happening() && null !== $late->days && !$garden->today->isBefore($task->due->plus($late->days));
            if ($isTime && $placing->place($task)->isOpen()) {
                $marks[] = new Mark($task->id, MarkKind::Done, $garden->today);
            }
        }

        return $marks;
    }

    private function site(Garden $garden): Site
    {
        return new Site($garden, $this->book, $this->recipes, $this->jobs, new CareCalendar($garden, $this->book, $this->recipes,
            $this->care), new SoilDays($garden->climate->measured, DailyRecord::fromRows([])));
    }

    /**
     * With what was picked and lifted today, and what today's market took out of store. A garden that has no place for produce
     * logs no harvests.
     *
     * @param list<FieldNote> $notes
     */
    private function broughtIn(Site $site, array $notes): Garden
    {
        $garden = $site->garden;
        if ([] === $garden->store->places) {
            return $garden;
        }
        $seed = $garden->practice->seed ?? 0;
        $this->needs = null === $this->needs || $this->needs[0] !== $garden->promises ? [$garden->promises, Needs::of($garden,
            $this->book)] : $this->needs;
        $lots = Basket::of($site, $this->needs[1], Period::fromFirstToLast($garden->today, $garden->today), $seed);
        foreach ($notes as $note) {
            $planting = Happening::Finished === $note->what ? $garden->plantings->get($note->planting) : null;
            $rest = null === $planting ? null : Basket::rest($site, $planting, $garden->today, $seed);
            $lots = null === $rest ? $lots : [...$lots, $rest];
        }

        $garden = $garden->storing($garden->store->with($garden->store->coded($lots), Basket::sold($site, $this->needs[1])));

        return $garden->selling($garden->market->after(Stall::of($garden, $seed)));
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
