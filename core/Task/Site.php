<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\About;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Dressing;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Feed\Feeding;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Irrigation\WaterPlan;
use JollyFurrow\Land\Bed;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Measure\Length;
use JollyFurrow\Need\Values;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Plantings;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\WeedSize;

/** The garden as one who looks for work sees it: what stands, what was noted, what a planting is worth. */
final readonly class Site
{
    private const WEEK = 7;

    /** @var array<string, Bed> */
    public array $beds;
    /** @var array<string, float> cents a unit, by item */
    private array $values;
    /** @var array<string, array<string, list<Day>>> days noted, by planting and happening */
    private array $noted;
    /** @var array<string, bool> whether it is done, by task */
    private array $ticked;
    /** @var array<string, Mark> the last with a count, by task */
    private array $counted;

    public function __construct(public Garden $garden, public CropBook $crops, public RecipeBook $recipes, public TaskBook $book,
        public CareCalendar $care, public SoilDays $weather, public ?Feeding $feeding = null, public ?WaterPlan $water = null)
    {
        $this->beds = $garden->bedsByName();
        $this->values = Values::of($garden);
        $noted = [];
        foreach ($garden->notes as $note) {
            $noted[$note->planting][$note->what->value][] = $note->day;
        }
        $this->noted = $noted;
        $ticked = $counted = [];
        foreach ($garden->diary->marks as $mark) {
            $ticked[$mark->task->text()] = MarkKind::Done === $mark->kind;
            null === $mark->count ?: $counted[$mark->task->text()] = $mark;
        }
        $this->ticked = $ticked;
        $this->counted = $counted;
    }

    /** The same garden with only some of its plantings. */
    public function with(Plantings $plantings): self
    {
        return new self($this->garden->with($plantings), $this->crops, $this->recipes, $this->book, $this->care, $this->weather,
            $this->feeding, $this->water);
    }

    public function crop(Planting $planting): Crop
    {
        return $this->crops->grown($planting->item, $planting->variety);
    }

    public function ripening(Planting $planting): ?Ripening
    {
        return $this->garden->timing()?->of($this->crop($planting), $this->garden->coversOf($planting));
    }

    /** @return list<Day> on which it was noted, in the order of notes */
    public function noted(Planting $planting, Happening $what): array
    {
        return $this->noted[$planting->key][$what->value] ?? [];
    }

    public function isTicked(Planting $planting, string $step): bool
    {
        return $this->ticked[TaskId::ofPlanting($planting->key, $step)->text()] ?? false;
    }

    /** What was counted at it; null: nothing was. */
    public function counted(Planting $planting, string $step): ?Mark
    {
        return $this->counted[TaskId::ofPlanting($planting->key, $step)->text()] ?? null;
    }

    /** Somebody said that it hailed on that day. */
    public function hailed(Day $day): bool
    {
        return $this->ticked[self::hail($day)->text()] ?? false;
    }

    public static function hail(Day $day): TaskId
    {
        return TaskId::of(About::Garden, '', 'hail/'.$day->iso());
    }

    /** Somebody ticks weed passes here. */
    public function ticksWeeds(): bool
    {
        foreach ($this->ticked as $task => $isDone) {
            if ($isDone && str_contains($task, ':weed-pass/')) {
                return true;
            }
        }

        return false;
    }

    /** As if it were sown or planted today, where that day went by: what comes after comes that much later. */
    public function started(Planting $planting): Planting
    {
        $late = match ($planting->standing) {
            Standing::Planned => $this->garden->today->since($planting->sow),
            Standing::InNursery => $this->garden->today->since($planting->ground),
            default => 0,
        };

        return $late > 0 ? $planting->but(dates: $planting->dates()->later($late)) : $planting;
    }

    /** The last sowing whose harvest begins no more than a market week late; never before the planned one. */
    public function lastSowing(Planting $planting): Day
    {
        $late = $planting->ready->plus(self::WEEK);
        $wanted = $planting->clear->isBefore($late) ? $planting->clear : $late;
        $last = $this->ripening($planting)?->latestFor($wanted->number, $planting->method)?->sow;

        return Day::of(max($planting->sow->number, $last ?? $planting->sow->number + self::WEEK));
    }

    /** A crop whose seed is soaked, and no lot of it in the drawer that must not be. */
    public function isSoaked(Planting $planting): bool
    {
        $variety = $this->crop($planting)->key;

        return \in_array($planting->item, $this->book->soaked, true) && [] === array_filter($this->garden->diary->seedLots,
            static fn (SeedLot $lot): bool => $lot->variety === $variety && Dressing::None !== $lot->dressing);
    }

    /** Cents all of it brings. */
    public function worth(Planting $planting): float
    {
        return $this->unitWorth($planting) * $planting->yieldPerMetre() * $planting->bedMetres();
    }

    /** Cents a unit. */
    public function unitWorth(Planting $planting): float
    {
        return $this->values[$planting->item] ?? 0.0;
    }

    /** @return list<string> */
    public static function bedsOf(Planting $planting): array
    {
        return array_values(array_unique(array_map(static fn ($piece): string => $piece->bed, $planting->pieces)));
    }

    public function blockOf(Planting $planting): string
    {
        return isset($planting->pieces[0]) ? $this->beds[$planting->pieces[0]->bed]->block ?? '' : '';
    }

    /**
     * A task of a planting as is usual with its kind.
     *
     * @param float|null $hours null: by the kind's own measure
     */
    public function ofPlanting(Planting $planting, TaskKind $kind, string $step, Day $due, ?Day $doneOn = null, bool $isImplied = false,
        ?float $hours = null, ?Day $first = null, ?Day $last = null, string $name = '', string $tool = '', string $caution = '',
        float $units = 0.0, float $trays = 0.0, ?float $cents = null, bool $isTakenOver = false, ?WeedSize $weeds = null,
        ?Bears $bears = null, ?float $threshold = null): Task
    {
        $facts = $this->book->of($kind);
        $hours ??= $facts->hours($planting->length(), $trays, $units);

        return new Task(TaskId::ofPlanting($planting->key, $step), $kind, $name, $planting, $this->blockOf($planting),
            self::bedsOf($planting), $planting->length(), $due, $first ?? $due->plus(-$facts->early), $last ?? $due->plus($facts->wait),
            $hours, $bears ?? $facts->bears, $tool, $caution, $cents ?? $facts->missCosts * $this->worth($planting), $units > 0.0 ? $units
            : $trays, $doneOn, $isImplied, $isTakenOver, $weeds, $threshold);
    }

    /**
     * A task of a block or of the whole garden.
     *
     * @param list<string> $beds
     */
    public function ofPlace(TaskKind $kind, About $about, string $of, string $step, Day $due, string $block = '', array $beds = [],
        ?Length $length = null, ?float $hours = null, string $name = '', string $tool = '', string $caution = '',
        ?Bears $bears = null, ?int $wait = null, float $cents = 0.0, bool $isTakenOver = false): Task
    {
        $facts = $this->book->of($kind);
        $length ??= Length::fromMicrometres(0);

        return new Task(TaskId::of($about, $of, $step), $kind, $name, null, $block, $beds, $length, $due, $due->plus(-$facts->early),
            $due->plus($wait ?? $facts->wait), $hours ?? $facts->hours($length), $bears ?? $facts->bears, $tool, $caution, $cents,
            isTakenOver: $isTakenOver);
    }
}
