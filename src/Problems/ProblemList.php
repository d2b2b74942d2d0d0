<?php

declare(strict_types=1);

namespace App\Problems;

use App\Books\StoreTables;
use App\Lanes\LaneWeeks;
use App\Plan\ShortList;
use App\Store\Snapshot;
use App\Store\Standpoint;
use App\Wall\Lane;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Forecast\Glut;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\LateBed;
use JollyFurrow\Maturity\Against;
use JollyFurrow\Maturity\Risk;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Message\Message;
use JollyFurrow\Need\Values;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\SowingRisks;
use JollyFurrow\Stock\StoreForecast;

/** What is wrong with the season as it is planned, what costs most first. */
final readonly class ProblemList
{
    /** Days ahead too much is looked for. */
    private const GLUT_DAYS = 14;
    private const AHEAD = 364;

    public function __construct(private Snapshot $snapshot, private Planner $planner, private CropBook $book, private RecipeBook $recipes,
        private ShortList $short, private LaneWeeks $lanes, private StoreTables $tables)
    {
    }

    /** @return list<Problem> */
    public function of(string $gardenId): array
    {
        $stand = Standpoint::of($gardenId, $this->snapshot, $this->planner, $this->book);
        $garden = $stand->garden;
        $values = Values::of($garden);
        $worth = static fn (Planting $p): float => ($stand->expected->total[$p->key] ?? 0.0) * ($values[$p->item] ?? 0.0);
        $problems = [...$this->short($stand), ...$this->plantings($garden, $worth), ...$this->lateBeds($garden, $worth),
            ...$this->weeks($garden, $gardenId), ...$this->tooMuch($garden), ...$this->rooms($garden)];
        usort($problems, static fn (Problem $a, Problem $b): int => [$b->cents, $a->kind->value, $a->about]
            <=> [$a->cents, $b->kind->value, $b->about]);

        return $problems;
    }

    /** @return list<Problem> by crop */
    private function short(Standpoint $stand): array
    {
        $crops = [];
        foreach ($this->short->of($stand->garden, $stand->plan) as $row) {
            $one = $crops[$row->item] ?? ['units' => 0.0, 'cents' => 0.0, 'day' => $row->day, 'days' => 0];
            $crops[$row->item] = ['units' => $one['units'] + $row->units, 'cents' => $one['cents'] + $row->worth,
                'day' => $row->day->isBefore($one['day']) ? $row->day : $one['day'], 'days' => $one['days'] + 1];
        }
        $problems = [];
        foreach ($crops as $item => $one) {
            $crop = $this->book->get((string) $item);
            $problems[] = new Problem(ProblemKind::Short, (string) $item, $one['day'], $one['cents'], ['crop' => $crop,
                'short' => $crop->produce->goods($one['units']), 'days' => $one['days']], 'mend', ['crop' => (string) $item]);
        }

        return $problems;
    }

    /**
     * @param \Closure(Planting): float $worth
     *
     * @return list<Problem> what may not be, is late, bends a rule, or frost may take
     */
    private function plantings(Garden $garden, \Closure $worth): array
    {
        $open = $garden->plantings->where(static fn (Planting $p): bool => !$p->isOver($garden->today))->all();
        $barred = [];
        foreach ((new Conflicts($this->book))->of($garden, array_map(static fn (Planting $p): string => $p->key, $open)) as $conflict) {
            $conflict->isHard() && !isset($barred[$conflict->planting]) ? $barred[$conflict->planting] = $conflict->message : null;
        }
        $problems = [];
        foreach ($open as $planting) {
            [$kind, $why, $share] = match (true) {
                isset($barred[$planting->key]) => [ProblemKind::Barred, $barred[$planting->key], 1.0],
                $planting->isLate($garden->today) => [ProblemKind::Late, null, 1.0],
                default => $this->atRisk($garden, $planting),
            };
            if (null !== $kind) {
                $problems[] = new Problem($kind, $planting->key, ProblemKind::Late === $kind ? $planting->sow : $planting->bedStart,
                    $share * $worth($planting), ['planting' => $planting, 'crop' => $this->book->grown($planting->item, $planting->variety),
                        'why' => $why], 'planting');
            }
        }

        return $problems;
    }

    /** @return array{ProblemKind|null, Message|null, float} the share of it that may be lost */
    private function atRisk(Garden $garden, Planting $planting): array
    {
        $frost = $this->frost($garden, $planting);
        $odds = $frost->values['odds'] ?? null;

        return match (true) {
            $odds instanceof Quantity => [ProblemKind::Frost, $frost, $odds->value],
            \in_array($frost?->code, [Against::FrostFirst, Against::WinterKills], true) => [ProblemKind::Frost, $frost, 1.0],
            [] !== $planting->remarks => [ProblemKind::Bent, $planting->remarks[0], 0.0],
            default => [null, null, 0.0],
        };
    }

    private function frost(Garden $garden, Planting $planting): ?Message
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        if (!$garden->today->isBefore($planting->ready) || null === $garden->timing()
            || \in_array($crop->pattern, [Pattern::Perennial, Pattern::GreenManure], true)) {
            return null;
        }
        $ripening = $garden->timing()->of($crop, $garden->coversOf($planting));
        $ripe = $ripening->fromGround($planting->sow->number, $planting->ground->number, $planting->method);

        return (new SowingRisks($crop, $planting->method, $ripening, $garden->timing()))->of($planting->ground->number,
            $ripe)[Risk::Frost->value] ?? null;
    }

    /**
     * @param \Closure(Planting): float $worth
     *
     * @return list<Problem>
     */
    private function lateBeds(Garden $garden, \Closure $worth): array
    {
        return array_map(fn (LateBed $late): Problem => new Problem(ProblemKind::BedNotReady, $late->planting->key,
            $late->planting->bedStart, $worth($late->planting), ['planting' => $late->planting, 'crop' => $this->book->grown(
                $late->planting->item, $late->planting->variety), 'days' => $late->days], 'ahead'),
            LateBed::all($garden, $this->book, $this->recipes));
    }

    /** @return list<Problem> the first week with too much work, and with too many trays */
    private function weeks(Garden $garden, string $gardenId): array
    {
        $problems = [];
        foreach ([[Lane::Hours, ProblemKind::Hours, 'week'], [Lane::Bench, ProblemKind::Bench, 'nursery']] as [$lane, $kind, $route]) {
            $over = array_values(array_filter($this->lanes->of($lane, $gardenId, $garden->today->plus(self::AHEAD)),
                static fn ($w): bool => $w->isOver()));
            if ([] !== $over) {
                $too = $over[0]->amount - (float) $over[0]->room;
                $problems[] = new Problem($kind, $over[0]->monday->iso(), $over[0]->monday, ProblemKind::Hours === $kind
                    ? $too * $garden->settings->wage : 0.0, ['week' => $over[0], 'weeks' => \count($over), 'too' => $too], $route,
                    ProblemKind::Hours === $kind ? ['on' => intdiv($over[0]->monday->since($garden->today->week()->monday()), 7)] : []);
            }
        }

        return $problems;
    }

    /** @return list<Problem> */
    private function tooMuch(Garden $garden): array
    {
        return array_map(static fn (Glut $glut): Problem => new Problem(ProblemKind::TooMuch, $glut->product->key, $glut->first,
            (float) $glut->units * $glut->product->price->cents, ['glut' => $glut], 'glut'), Glut::all($garden, $this->book,
                self::GLUT_DAYS, $this->tables->picking()->hoursOf($this->book, $garden->products)));
    }

    /** @return list<Problem> */
    private function rooms(Garden $garden): array
    {
        $problems = [];
        foreach (StoreForecast::of($garden, $this->book)->rooms as $room) {
            $full = $room->fullFrom();
            if (null !== $full) {
                $problems[] = new Problem(ProblemKind::Room, $room->place->key, $room->day($full), 0.0, ['room' => $room,
                    'weeks' => $room->fullFor()], 'store');
            }
        }

        return $problems;
    }
}
