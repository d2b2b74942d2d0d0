<?php

declare(strict_types=1);

namespace JollyFurrow\Succession;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\Kernel\Room;
use JollyFurrow\Ways\Candidate;

/** Bed metres that are left, by place type and day, while successions are put in and taken out. */
final class Rooms
{
    /** Metres that may be too many without counting, for rounding. */
    private const SLACK = 0.01;

    /** @param array<string, array<int, float>> $left by place type, a day each from the first */
    public function __construct(public readonly int $first, private array $left, private readonly Grid $grid)
    {
    }

    /**
     * Of the beds of a garden, less what some plantings take.
     *
     * @param list<Planting> $kept
     */
    public static function of(Garden $garden, Grid $grid, array $kept, int $days): self
    {
        $first = $garden->today->number;
        $left = [];
        foreach (PlaceType::cases() as $place) {
            $left[$place->value] = array_fill(0, $days, $garden->metresOf($place));
        }
        $beds = $garden->bedsByName();
        foreach ($kept as $planting) {
            $metres = 0.0;
            foreach ($planting->pieces as $piece) {
                $metres += isset($beds[$piece->bed]) ? $piece->length()->metres() * $piece->widthShare : 0.0;
            }
            $last = min($days - 1, $planting->clear->number - $first);
            for ($day = max(0, $planting->bedStart->number - $first); $day <= $last; ++$day) {
                $left[$planting->place->value][$day] = ($left[$planting->place->value][$day] ?? 0.0) - $metres;
            }
        }
        foreach ($garden->beds as $bed) {
            foreach ($garden->settings->rules->resting[$bed->name] ?? [] as $rest) {
                $last = min($days - 1, $rest->days->last()->number - $first);
                for ($day = max(0, $rest->days->start->number - $first); $day <= $last; ++$day) {
                    $left[$bed->place->value][$day] = ($left[$bed->place->value][$day] ?? 0.0) - $bed->length->metres();
                }
            }
        }

        return new self($first, array_map(static fn (array $line): array => array_map(static fn (float $m): float => max(0.0, $m),
            $line), $left), $grid);
    }

    public function days(): int
    {
        return \count(reset($this->left) ?: []);
    }

    /** @return array<string, array<int, float>> metres by place type and day */
    public function left(): array
    {
        return $this->left;
    }

    public function take(ItemPlan $plan): void
    {
        $this->put($plan, -1.0);
    }

    public function give(ItemPlan $plan): void
    {
        $this->put($plan, 1.0);
    }

    /** Metres free on all days of a stay. */
    public function most(PlaceType $place, int $from, int $to): float
    {
        $line = $this->left[$place->value] ?? [];
        $most = \INF;
        for ($day = max(0, $from - $this->first); $day <= $to - $this->first; ++$day) {
            $most = min($most, $line[$day] ?? 0.0);
        }

        return \INF === $most ? 0.0 : $most;
    }

    /** @return array<string, array<int, float>> metres too many, by place type and day from the first */
    public function tooMuch(): array
    {
        $over = [];
        foreach ($this->left as $place => $line) {
            foreach ($line as $day => $metres) {
                if ($metres < -self::SLACK) {
                    $over[$place][$day] = -$metres;
                }
            }
        }

        return $over;
    }

    public function metreDaysTooMany(): float
    {
        return array_sum(array_map(array_sum(...), $this->tooMuch()));
    }

    /** In the first week. */
    public function metreDaysAWeek(): float
    {
        return array_sum(array_map(static fn (array $line): float => array_sum(\array_slice($line, 0, 7)), $this->left));
    }

    /**
     * The same with some plans in it.
     *
     * @param array<string, ItemPlan> $plans
     */
    public function with(array $plans): self
    {
        $rooms = clone $this;
        array_map($rooms->take(...), $plans);

        return $rooms;
    }

    /** @param list<Candidate> $candidates */
    public function for(array $candidates): Room
    {
        return new Room($this->first, $this->left, array_map(static fn (Candidate $c): string => $c->place->value, $candidates),
            array_map(static fn (Candidate $c): int => $c->bedStart, $candidates),
            array_map(static fn (Candidate $c): int => $c->lastField, $candidates));
    }

    private function put(ItemPlan $plan, float $sign): void
    {
        foreach ($plan->successions as ['candidate' => $candidate, 'steps' => $steps, 'end' => $end]) {
            $metres = $sign * $steps * $this->grid->metres($candidate);
            $line = &$this->left[$candidate->place->value];
            $last = min($end - $this->first, \count($line ?? []) - 1);
            for ($day = max(0, $candidate->bedStart - $this->first); $day <= $last; ++$day) {
                $line[$day] += $metres;
            }
            unset($line);
        }
    }
}
