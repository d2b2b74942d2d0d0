<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Feeding;
use JollyFurrow\Garden\Weights;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/** The soft rules of choosing a bed: what each weighs for one stretch, in cents, by the share of the bed it touches. */
final class BedRules
{
    /** An empty gap of so many days and fewer grows nothing. */
    private const SLIVER_DAYS = 20;
    /** What stood before counts so many days back. */
    private const BEFORE_DAYS = 300;
    /** A cut-off end of a free stretch weighs this share of an empty gap. */
    private const CUT_OFF = 0.5;
    /** The weight of walking is for so many beds between one of a family and the next. */
    private const WALK_BEDS = 10;

    private readonly Weights $weights;
    /** @var array<string, list<Message>> */
    private array $against = [];

    public function __construct(private readonly Ground $ground)
    {
        $this->weights = $ground->garden->settings->rules->weights;
    }

    /**
     * @param array{int, int} $stretch the free stretch it is taken from
     *
     * @return array<string, float> cents by rule; what is not bent is left out
     */
    public function bent(Stay $stay, Bed $bed, int $from, int $to, array $stretch): array
    {
        [$crop, $ground, $start, $last] = [$stay->crop, $stay->ground, $stay->start, $stay->last];
        $share = ($to - $from) / $bed->length->micrometres;
        $w = $this->weights;
        $apart = $this->apart($crop, $bed, $start, $last);

        return array_filter([
            'gap' => $w->gap * $this->gap($crop, $bed, $from, $to, $start, $last),
            'cycle' => $w->cycle * $share * (float) $this->isOutOfTurn($crop, $bed, $from, $to, $ground),
            'temper' => $w->temper * $share * \count($this->against($crop, $bed, $ground)),
            'before' => $w->before * $share * $this->before($crop, $bed, $from, $to, $start),
            'together' => $w->together * (float) ($apart > 1),
            'walk' => $w->walk * $apart / self::WALK_BEDS,
            'block' => $w->block * $share * (float) $this->isOutsideItsBlock($crop, $bed),
            'sliver' => $w->sliver * ($share * $this->slivers($bed, $from, $to, $start,
                $last) + self::CUT_OFF * (float) ($stretch[0] < $from || $to < $stretch[1])),
        ], static fn (float $cents): bool => $cents > 0.0);
    }

    /** @return list<Breach> what bends on a stretch and is worth telling */
    public function breaches(Stay $stay, Bed $bed, int $from, int $to): array
    {
        $crop = $stay->crop;
        $onBed = static fn (Rule $rule): Breach => new Breach($rule, Message::of($rule, crop: $crop->name, bed: $bed->name));

        return array_values(array_filter([
            $this->ground->gap->breach(Stretch::of($bed->name, $from, $to), $crop->item(), $bed->place, $stay->period()),
            $this->isOutOfTurn($crop, $bed, $from, $to, $stay->ground) ? $onBed(Rule::OutOfTurn) : null,
            ...array_map(static fn (Message $against): Breach => new Breach(Rule::BedTemper, Message::of(Rule::BedTemper,
                bed: $bed->name, against: $against)), $this->against($crop, $bed, $stay->ground)),
            $this->before($crop, $bed, $from, $to, $stay->start) > 0.0 ? $onBed(Rule::AfterUnsuited) : null,
            $this->isOutsideItsBlock($crop, $bed) ? new Breach(Rule::OutsideItsBlock, Message::of(Rule::OutsideItsBlock,
                family: $crop->family, bed: $bed->name)) : null,
        ]));
    }

    /** Share of a bed by which the family gap is bent: half for being too near, the rest by how much. */
    private function gap(Crop $crop, Bed $bed, int $from, int $to, int $start, int $last): float
    {
        $wanted = 365 * ($this->ground->garden->settings->rotation[$bed->place->value] ?? 0);
        $worst = 0.0;
        foreach ($wanted > 0 && $this->weights->gap > 0.0 ? $this->ground->gap->tooNear($bed->name, $crop->item(), $bed->place, $start,
            $last) : [] as [$near, $until, $item, $days]) {
            $common = min($to, $until) - max($from, $near);
            if ($common > 0) {
                $worst = max($worst, $common / $bed->length->micrometres * (0.5 + 0.5 * (1 - $days / $wanted)));
            }
        }

        return $worst;
    }

    /** The groups that stood there the year before, or stand there this year, call for another one. */
    private function isOutOfTurn(Crop $crop, Bed $bed, int $from, int $to, int $ground): bool
    {
        $rules = $this->ground->garden->settings->rules;
        $turn = [] === $rules->cycle || 0 === ($this->ground->garden->settings->rotation[$bed->place->value] ?? 0) ? null
            : $rules->turn($crop->habits->rotation);
        if (null === $turn) {
            return false;
        }
        $year = Day::of($ground)->year();
        $known = false;
        foreach ($this->ground->on($bed->name) as $stand) {
            $other = $stand->from < $to && $from < $stand->to ? $rules->turn($stand->group) : null;
            $years = $year - Day::of($stand->isPast ? $stand->last : $stand->ready)->year();
            if (null !== $other && $years >= 0 && $years <= 1) {
                $known = true;
                if (($other + $years) % \count($rules->cycle) === $turn) {
                    return false;
                }
            }
        }

        return $known;
    }

    /** @return list<Message> */
    private function against(Crop $crop, Bed $bed, int $ground): array
    {
        if ($bed->temper->isUsual()) {
            return [];
        }

        return $this->against[$bed->name.'|'.$crop->key.'|'.$ground] ??= $bed->temper->against($crop, Day::of($ground),
            $this->ground->garden->place->latitude);
    }

    /** Roots after much nitrogen, of a crop or from the shed, weigh whole; a heavy feeder after another one half. */
    private function before(Crop $crop, Bed $bed, int $from, int $to, int $start): float
    {
        $isRoot = 'root' === $crop->habits->rotation;
        if (0.0 === $this->weights->before || (!$isRoot && Feeding::Heavy !== $crop->feeding)) {
            return 0.0;
        }
        if ($isRoot && $this->ground->isRich($bed->name, $start, self::BEFORE_DAYS)) {
            return 1.0;
        }
        $last = null;
        foreach ($this->ground->on($bed->name) as $stand) {
            if ($stand->from < $to && $from < $stand->to && $stand->last < $start && $start - $stand->last < self::BEFORE_DAYS
                && (null === $last || $stand->last > $last->last)) {
                $last = $stand;
            }
        }

        return match (true) {
            null === $last => 0.0,
            $isRoot => 'giver' === $last->feeding ? 1.0 : 0.0,
            default => 'heavy' === $last->feeding ? 0.5 : 0.0,
        };
    }

    /** Beds from the nearest one its family stands on on the days; 0: on the same bed, or it is the first. */
    private function apart(Crop $crop, Bed $bed, int $start, int $last): int
    {
        $nearest = null;
        foreach ($this->ground->familyAt($crop->family, $start, $last) as $place) {
            $apart = abs($place - $this->ground->order[$bed->name]);
            $nearest = null === $nearest || $apart < $nearest ? $apart : $nearest;
        }

        return $nearest ?? 0;
    }

    private function isOutsideItsBlock(Crop $crop, Bed $bed): bool
    {
        $elsewhere = false;
        foreach ($this->ground->garden->settings->rules->blocks as $name => $rules) {
            $isFor = \in_array($crop->family, $rules->families, true);
            if ((string) $name === $bed->block) {
                return [] !== $rules->families && !$isFor || $elsewhere && !$isFor;
            }
            $elsewhere = $elsewhere || $isFor;
        }

        return $elsewhere;
    }

    /** Empty gaps before and after that are too short to grow anything in. */
    private function slivers(Bed $bed, int $from, int $to, int $start, int $last): int
    {
        $before = $after = self::SLIVER_DAYS + 1;
        foreach ($this->ground->on($bed->name) as $stand) {
            if ($stand->isPast || $stand->to <= $from || $to <= $stand->from) {
                continue;
            }
            $before = $stand->last < $start ? min($before, $start - $stand->last - 1) : $before;
            $after = $last < $stand->start ? min($after, $stand->start - $last - 1) : $after;
        }

        return (int) ($before > 0 && $before <= self::SLIVER_DAYS) + (int) ($after > 0 && $after <= self::SLIVER_DAYS);
    }
}
