<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\PickTime;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Message\Message;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Storage\StoreKind;
use JollyFurrow\Time\Day;

/**
 * What to pick for the market days ahead: who serves whom by what is lost soonest, then spread over the days before against
 * hours and the cold room. What a bed must not give is left out, and said.
 */
final readonly class PickList
{
    /** Market days so far ahead share the hours. */
    public const AHEAD = 9;
    /** Hours a day beyond those of each who works, and what they cost of the wage (own model). */
    private const OVERTIME = 0.25;
    private const OVERTIME_PAY = 1.5;
    private const ENDLESS = 10_000.0;

    /**
     * @param list<PickLine>  $lines   by day, coolest first, in walking order
     * @param list<StoreLine> $stored
     * @param list<PickShort> $short
     * @param list<PickDay>   $days
     * @param list<Day>       $markets market days ahead
     * @param list<MixLine>   $mixes   made otherwise, where a part is short
     */
    private function __construct(public array $lines, public array $stored, public array $short, public array $days, public array $markets,
        public array $mixes = [])
    {
    }

    /** @param list<float|null> $hours free beside other work, from today on; null: nobody is named */
    public static function of(Garden $garden, CropBook $crops, PickTable $table, array $hours): self
    {
        $wants = PickWants::until($garden->today->plus(self::AHEAD), $garden, $crops, $table);
        $free = array_map(static fn (int $n): float => $hours[$n] ?? self::ENDLESS, range(0, self::AHEAD));
        $days = new SpreadDays($free, array_map(static fn (float $h): float => self::OVERTIME * $h, $free), self::OVERTIME_PAY
            * $garden->settings->wage, rooms: self::rooms($garden, $crops));
        $spread = Spread::of(array_map(static fn (PickWant $w): SpreadWant => $w->want, $wants->field), $days);
        $lines = self::lines($garden, $wants->field, $spread);
        $picked = array_map(static fn (int $n): PickDay => new PickDay($garden->today->plus($n), $hours[$n] ?? null,
            array_sum(array_map(static fn (PickLine $l): float => $l->day->equals($garden->today->plus($n)) ? $l->hours() : 0.0, $lines))),
            range(0, self::AHEAD));

        return new self($lines, $wants->stored, self::together([...$wants->short, ...self::short($garden, $wants->field, $spread,
            $days)]), $picked,
            self::markets($garden), $wants->mixes);
    }

    /** What is picked or taken for one market day. */
    public function on(Day $market): self
    {
        return new self(
            array_values(array_filter($this->lines, static fn (PickLine $l): bool => $l->market->equals($market))),
            array_values(array_filter($this->stored, static fn (StoreLine $l): bool => $l->market->equals($market))),
            array_values(array_filter($this->short, static fn (PickShort $s): bool => $s->market->equals($market))),
            $this->days, $this->markets,
            array_values(array_filter($this->mixes, static fn (MixLine $m): bool => $m->market->equals($market))));
    }

    /** @return list<CoolFirst> the quickest way first, in it the most urgent first */
    public function cooled(): array
    {
        $by = [];
        foreach ($this->lines as $line) {
            if (Cooling::None !== $line->traits->cooling) {
                $by[array_search($line->traits->cooling, Cooling::cases(), true)][$line->crop->habits->coolHours][] = $line;
            }
        }
        ksort($by);
        $first = [];
        foreach ($by as $way => $hours) {
            ksort($hours);
            foreach ($hours as $within => $lines) {
                $first[] = CoolFirst::of(Cooling::cases()[$way], $within, $lines);
            }
        }

        return $first;
    }

    /** @return list<array{PickTime, list<PickLine>}> of one day, the coolest first */
    public function byTime(Day $day): array
    {
        $times = [];
        foreach (PickTime::cases() as $time) {
            $lines = array_values(array_filter($this->lines, static fn (PickLine $l): bool => $l->day->equals($day)
                && $l->crop->habits->pickTime === $time));
            [] === $lines ?: $times[] = [$time, $lines];
        }

        return $times;
    }

    public function crates(): int
    {
        return array_sum(array_map(static fn ($l): int => $l->crates(), [...$this->lines, ...$this->stored]));
    }

    public function hours(): float
    {
        return array_sum(array_map(static fn (PickLine $l): float => $l->hours(), $this->lines))
            + array_sum(array_map(static fn (StoreLine $l): float => $l->cleaned, $this->stored));
    }

    /** Hours that want the cool of the morning on a day. */
    public function coolHours(Day $day): float
    {
        return array_sum(array_map(static fn (PickLine $l): float => $l->day->equals($day)
            && PickTime::CoolMorning === $l->crop->habits->pickTime ? $l->units / $l->traits->pick : 0.0, $this->lines));
    }

    /**
     * @param list<PickWant> $wants
     *
     * @return list<PickLine> by day, coolest first, in walking order
     */
    private static function lines(Garden $garden, array $wants, Spread $spread): array
    {
        $units = [];
        foreach ($wants as $w => $want) {
            foreach ($spread->units[$w] as $n => $some) {
                $units[$n.' '.$want->market->number.' '.$want->planting->key][$w] = $some;
            }
        }
        $lines = [];
        foreach ($units as $key => $some) {
            $want = $wants[array_key_first($some)];
            $outlets = [];
            foreach ($some as $w => $n) {
                $outlets[$wants[$w]->outlet] = ($outlets[$wants[$w]->outlet] ?? 0) + $n;
            }
            $lines[] = new PickLine($garden->today->plus((int) $key), $want->market, $want->planting, $want->crop, $want->traits,
                $want->needs, array_sum($some), $outlets, $want->spare);
        }
        $order = array_flip(array_map(static fn ($bed): string => $bed->name, $garden->beds));
        $times = array_flip(array_map(static fn (PickTime $t): string => $t->value, PickTime::cases()));
        $at = static fn (PickLine $l): array => [$l->day->number, $times[$l->crop->habits->pickTime->value],
            $order[$l->planting->pieces[0]->bed ?? ''] ?? \PHP_INT_MAX, $l->planting->key, $l->market->number];
        usort($lines, static fn (PickLine $a, PickLine $b): int => $at($a) <=> $at($b));

        return $lines;
    }

    /**
     * @param list<PickWant> $wants
     *
     * @return list<PickShort> what the days have no hours or the room has no space for
     */
    private static function short(Garden $garden, array $wants, Spread $spread, SpreadDays $days): array
    {
        $hours = array_fill(0, $days->count(), 0.0);
        foreach ($wants as $w => $want) {
            foreach ($spread->units[$w] as $n => $some) {
                $hours[$n] += $some * $want->want->hours;
            }
        }
        $short = [];
        foreach ($wants as $w => $want) {
            if ($spread->short[$w] > 0) {
                $isFree = false;
                for ($n = $want->want->from; $n <= $want->want->last($days->count()); ++$n) {
                    $isFree = $isFree || $hours[$n] + $want->want->hours <= $days->most($n);
                }
                $short[] = new PickShort($want->market, $want->crop, $want->outlet, $spread->short[$w],
                    Message::of($isFree ? PickReason::NoRoom : PickReason::NoHours));
            }
        }

        return $short;
    }

    /**
     * @param list<PickShort> $short
     *
     * @return list<PickShort> each crop, outlet and reason of a market day once
     */
    private static function together(array $short): array
    {
        $sums = [];
        foreach ($short as $one) {
            $key = implode(' ', [$one->market->number, $one->crop->key, $one->outlet, $one->why->code->value]);
            $sums[$key] = new PickShort($one->market, $one->crop, $one->outlet, $one->units + ($sums[$key]->units ?? 0), $one->why);
        }

        return array_values($sums);
    }

    /** @return array<string, list<float>> crates free in the cold rooms that are counted, by night */
    private static function rooms(Garden $garden, CropBook $crops): array
    {
        $holdings = Holdings::of($garden, $crops);
        $rooms = [];
        foreach ($garden->store->places as $place) {
            if (StoreKind::ColdRoom === $place->kind && null !== $place->crates) {
                $there = array_sum(array_map(static fn (Holding $h): float => $h->crates(), $holdings->at($place->key)));
                $rooms[$place->key] = array_fill(0, self::AHEAD + 1, max(0.0, $place->crates - $there));
            }
        }

        return $rooms;
    }

    /** @return list<Day> */
    private static function markets(Garden $garden): array
    {
        $days = [];
        for ($n = 0; $n <= self::AHEAD; ++$n) {
            $day = $garden->today->plus($n);
            [] === array_filter($garden->outlets, static fn (Outlet $o): bool => $o->days->isOpenOn($day)) ?: $days[] = $day;
        }

        return $days;
    }
}
