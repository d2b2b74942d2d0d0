<?php

declare(strict_types=1);

namespace App\Job;

use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Diary\DiaryKeeper;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Log\Once;
use App\Record\NoteConsequence;
use App\Soil\SoilKeeper;
use App\Store\PlantingKeeper;
use Doctrine\DBAL\Connection;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\Noted;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\Placing;
use JollyFurrow\Job\TaskState;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Task\FeedDoses;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Period;

/**
 * Keeps what became of some tasks as one entry of the log: the ticks, what happened to the plantings, and the plan that
 * follows. What was received once is not kept twice.
 */
final readonly class JobChanges
{
    /** Tasks are looked for so many days back and ahead. */
    private const BACK = 120;
    private const AHEAD = 60;

    public function __construct(private Sites $sites, private ChangeLog $log, private PlantingKeeper $plantings, private DiaryKeeper $diary,
        private CropBook $crops, private RecipeBook $recipes, private Connection $connection, private NoteConsequence $consequence,
        private JobWords $words, private CountWords $counts, private SoilKeeper $soil,
        private Once $once)
    {
    }

    /**
     * @throws Meanwhile|SomebodyWasFaster|CannotBeDone
     */
    public function keep(string $gardenId, string $accountId, Doing $doing): Done
    {
        return $this->log->record($gardenId, $accountId, static fn (Done $done): string => $done->words, function () use ($gardenId,
            $doing): Done {
            return new Done(...$this->once->done($gardenId, $doing->token, fn (): string => $this->done($gardenId, [$doing])));
        });
    }

    /**
     * Several doings as one entry of the log.
     *
     * @param list<Doing> $doings
     *
     * @throws Meanwhile|SomebodyWasFaster|CannotBeDone
     */
    public function keepAll(string $gardenId, string $accountId, array $doings): string
    {
        return $this->log->record($gardenId, $accountId, static fn (string $words): string => $words,
            fn (): string => $this->done($gardenId, $doings));
    }

    /**
     * One after the other on the garden as the one before left it, and stored once; a bed is cleared last.
     *
     * @param list<Doing> $doings
     */
    private function done(string $gardenId, array $doings): string
    {
        $site = $this->sites->of($gardenId);
        $tasks = self::tasks($site);
        $work = array_map(fn (Doing $doing): array => [$doing, $this->open($site, $tasks, $doing)], $doings);
        usort($work, static fn (array $a, array $b): int => self::clears($a[1]) <=> self::clears($b[1]));
        $garden = $site->garden;
        $notes = $marks = $words = $spreads = [];
        foreach ($work as [$doing, $placed]) {
            array_push($spreads, ...self::spread($site, $doing, $placed));
            [$garden, $noted, $marked] = $this->worked($garden, $doing, $placed);
            array_push($notes, ...$noted);
            array_push($marks, ...$marked);
            $words[] = $this->words->done($site, $doing, $placed).'.'.$this->counts->of($site, $doing, $placed[0]);
        }

        $this->soil->spread($gardenId, $spreads);

        return implode(' ', $words).$this->stored($gardenId, $site, $garden, $notes, $marks);
    }

    /**
     * What lies on the beds once a dose was given.
     *
     * @param non-empty-list<PlacedTask> $placed
     *
     * @return list<Spread>
     */
    private static function spread(Site $site, Doing $doing, array $placed): array
    {
        $fed = array_values(array_filter($placed, static fn (PlacedTask $p): bool => TaskKind::Feed === $p->task->kind
            && TaskState::Done !== $p->state));

        return !self::isDone($doing) || [] === $fed ? [] : FeedDoses::spreads(FeedDoses::mixes($site,
            array_map(static fn (PlacedTask $p): Task => $p->task, $fed)), $doing->day, self::reached($doing, $fed));
    }

    /**
     * How far along its beds each dose is by now, where only a part was done: the parts of before and this one.
     *
     * @param non-empty-list<PlacedTask> $fed
     *
     * @return array<string, float> metres by planting and step
     */
    private static function reached(Doing $doing, array $fed): array
    {
        $left = $doing->length?->metres() ?? 0.0;
        $reached = [];
        foreach (null === $doing->length ? [] : $fed as $placed) {
            $before = $placed->task->length->metres() - $placed->toDo->metres();
            $reached[$placed->task->planting?->key.'/'.$placed->task->id->step] = $before + max(0.0, min($left, $placed->toDo->metres()));
            $left -= $placed->toDo->metres();
        }

        return $reached;
    }

    /** @param non-empty-list<PlacedTask> $placed */
    private static function clears(array $placed): int
    {
        return (int) (TaskKind::Clear === $placed[0]->task->kind);
    }

    /**
     * @param non-empty-list<PlacedTask> $placed
     *
     * @return array{Garden, list<FieldNote>, list<Mark>}
     */
    private function worked(Garden $garden, Doing $doing, array $placed): array
    {
        $notes = $marks = [];
        $metres = $doing->length->micrometres ?? \PHP_INT_MAX;
        foreach ($placed as $task) {
            if ($metres <= 0) {
                break;
            }
            $part = MarkKind::Part === $doing->kind && $task->toDo->micrometres > $metres ? Length::fromMicrometres($metres) : null;
            $metres -= $task->toDo->micrometres;
            [$garden, $note] = $this->happened($garden, $task, $doing, $part);
            $notes = null === $note ? $notes : [...$notes, $note];
            $isRest = null === $part && MarkKind::Part === $doing->kind;
            $marks[] = new Mark($task->task->id, $isRest || (null !== $part && null !== $note) ? MarkKind::Done : $doing->kind, $doing->day,
                null === $note ? $part : null, self::share($doing, \count($placed)), $doing->who, $doing->words, $doing->until,
                $doing->count);
        }

        return [$garden, $notes, $marks];
    }

    /**
     * @param list<FieldNote> $notes
     * @param list<Mark>      $marks
     *
     * @return string what follows, in words with a blank before them
     */
    private function stored(string $gardenId, Site $site, Garden $garden, array $notes, array $marks): string
    {
        $old = array_values(array_filter($site->garden->plantings->all(),
            static fn (Planting $p): bool => $garden->plantings->get($p->key) != $p));
        $new = array_values(array_filter($garden->plantings->all(),
            static fn (Planting $p): bool => $site->garden->plantings->get($p->key) != $p));
        $hard = (new Conflicts($this->crops))->hard($garden, ...array_map(static fn (Planting $p): string => $p->key, $new));
        if ([] !== $hard) {
            throw Meanwhile::notPossible($hard[0]->message);
        }
        $this->plantings->replace($gardenId, $old, $new, PlantingChanges::beds($this->connection, $gardenId));
        $this->plantings->note($gardenId, $notes);
        $this->diary->mark($gardenId, $marks);
        $this->diary->carry($gardenId, $old, $new);

        return [] === $old || [] === $new ? '' : $this->consequence->of($site->garden, new Replacement($old, $new, ''));
    }

    /** @return array<string, Task> by name */
    private static function tasks(Site $site): array
    {
        $today = $site->garden->today;
        $byId = [];
        foreach ([...TaskList::usual()->forgotten($site, $today->plus(-self::BACK)), ...TaskList::usual()->of($site,
            Period::between($today->plus(-self::BACK), $today->plus(self::AHEAD)))] as $task) {
            $byId[$task->id->text()] = $task;
        }

        return $byId;
    }

    /**
     * @param array<string, Task> $tasks by name
     *
     * @return non-empty-list<PlacedTask> in the order asked for
     *
     * @throws SomebodyWasFaster when none is open any more
     */
    private function open(Site $site, array $tasks, Doing $doing): array
    {
        $placing = new Placing($site->garden->today, $site->weather, $site->garden->diary->marks);
        $found = $open = [];
        foreach ($doing->tasks as $id) {
            if (isset($tasks[$id->text()])) {
                $placed = $placing->place($tasks[$id->text()]);
                $found[] = $placed;
                $open = $doing->again || \in_array($placed->state, [TaskState::Open, TaskState::Lapsed], true) ? [...$open, $placed]
                    : $open;
            }
        }
        if ([] !== $open) {
            return $open;
        }

        throw [] === $found ? SomebodyWasFaster::gone() : $this->words->faster($found[0]);
    }

    /**
     * The garden after it, and what is noted of the planting.
     *
     * @return array{Garden, FieldNote|null}
     */
    private function happened(Garden $garden, PlacedTask $placed, Doing $doing, ?Length $part): array
    {
        $what = self::isDone($doing) ? $placed->task->kind->happening() : null;
        $planting = null === $what || null === $placed->task->planting || TaskState::Done === $placed->state ? null
            : $garden->plantings->get($placed->task->planting->key);
        if (null === $what || null === $planting || (Happening::Picked === $what && null !== $part)) {
            return [$garden, null];
        }
        $share = match ($what) {
            Happening::Emerged => 1.0,
            default => null,
        };
        $note = new FieldNote($planting->key, $what, $doing->day, $part, $share, null, $doing->words);
        $noted = Noted::of($garden, $planting, $note, $this->crops, $this->recipes);

        return [$garden->with($garden->plantings->with(...$noted->after())), $note];
    }

    private static function isDone(Doing $doing): bool
    {
        return MarkKind::Done === $doing->kind || MarkKind::Part === $doing->kind;
    }

    private static function share(Doing $doing, int $tasks): ?int
    {
        return null === $doing->minutes ? null : (int) round($doing->minutes / max(1, $tasks));
    }
}
