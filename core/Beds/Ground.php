<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\Residue;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\ManureWait;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Time\Day;

/**
 * The beds of a garden in walking order and what stands on each, as plantings find their place. The one place that says
 * where something may stand: which stretches are free, and which hard rules are against it. Planner, rhythm, free bed, green
 * manures, late beds, changes by hand, pasted lists and conflicts all ask here; what bends is weighed by BedRules.
 */
final class Ground
{
    /** @var array<string, list<Occupant>> by bed */
    private array $stands = [];
    /** @var array<string, Spread> the last raw manure, by bed */
    private array $raw = [];
    /** @var array<string, list<int>> days it was fed raw manure or much nitrogen, by bed */
    private array $rich = [];
    /** @var array<string, array<int, list<array{int, int}>>> by family: place of a bed in walking order => first and last days */
    private array $families = [];
    /** @var array<string, int> place in walking order, by bed */
    public readonly array $order;
    /** @var array<string, list<Bed>> by place type */
    public readonly array $beds;
    public readonly FamilyGap $gap;

    public function __construct(public readonly Garden $garden, public readonly CropBook $book)
    {
        $beds = $order = [];
        foreach ($garden->beds as $i => $bed) {
            $beds[$bed->place->value][] = $bed;
            $order[$bed->name] = $i;
            $this->stands[$bed->name] = [];
        }
        $this->beds = $beds;
        $this->order = $order;
        $this->gap = new FamilyGap($garden, $book);
        foreach ($garden->soil->spreads as $spread) {
            Heat::Raw !== $spread->heat ?: $this->raw[$spread->bed] = $spread;
            if (Heat::Raw === $spread->heat || $spread->isMuchNitrogen()) {
                $this->rich[$spread->bed][] = $spread->day->number;
            }
        }
        foreach ($garden->history as $past) {
            $day = $past->cleared->number;
            $this->stand('', $past->stretch, $past->crop, $past->crop, $day, $day, $day);
        }
    }

    /** @param iterable<Planting> $plantings that stand or are to stand */
    public static function under(Garden $garden, CropBook $book, iterable $plantings): self
    {
        $ground = new self($garden, $book);
        foreach ($plantings as $planting) {
            $ground->take($planting);
        }

        return $ground;
    }

    public function take(Planting $planting): void
    {
        foreach ($planting->pieces as $piece) {
            $this->stand($planting->key, $piece, $planting->item, $planting->variety, $planting->bedStart->number,
                $planting->clear->number, $planting->ready->number, $this->rested($planting, $piece));
            $this->gap->stood($piece, $planting->item, $planting->occupancy());
        }
    }

    /** @return list<Occupant> in the order they were noted */
    public function on(string $bed): array
    {
        return $this->stands[$bed] ?? [];
    }

    /** @return array<string, list<Occupant>> */
    public function all(): array
    {
        return $this->stands;
    }

    /**
     * Beds next to which, or on which, a family stands on some of the days.
     *
     * @return list<int> places in walking order
     */
    public function familyAt(string $family, int $start, int $last): array
    {
        $at = [];
        foreach ($this->families[$family] ?? [] as $place => $days) {
            foreach ($days as [$from, $to]) {
                if ($from <= $last && $start <= $to) {
                    $at[] = $place;
                    break;
                }
            }
        }

        return $at;
    }

    /**
     * Stretches of a bed that are free on all the days.
     *
     * @return list<array{int, int}> from and to, from the head of the bed on
     */
    public function free(Bed $bed, int $start, int $last): array
    {
        $length = $bed->length->micrometres;
        $blocked = [];
        foreach ($this->stands[$bed->name] as $stand) {
            if (!$stand->isPast && $stand->start <= $last && $start <= $stand->holdsUntil()) {
                $blocked[] = [$stand->from, $stand->to];
            }
        }
        if ([] === $blocked) {
            return [[0, $length]];
        }
        sort($blocked);
        $blocked[] = [$length, $length];
        $free = [];
        $at = 0;
        foreach ($blocked as [$from, $to]) {
            if ($from > $at) {
                $free[] = [$at, min($from, $length)];
            }
            $at = max($at, $to);
        }

        return $free;
    }

    /** The first free stretch of a length on all the days, or null. */
    public function first(Bed $bed, int $start, int $last, int $micrometres): ?Stretch
    {
        foreach ($this->free($bed, $start, $last) as [$from, $to]) {
            if ($to - $from >= $micrometres) {
                return Stretch::of($bed->name, $from, $from + $micrometres);
            }
        }

        return null;
    }

    /**
     * Lengths free on all the days.
     *
     * @return list<Length> from the head of the bed on
     */
    public function freeLengths(Bed $bed, int $start, int $last): array
    {
        return array_map(static fn (array $free): Length => Length::fromMicrometres($free[1] - $free[0]), $this->free($bed, $start, $last));
    }

    /** The first day of harvest that raw manure on the bed leaves, where the stay would be ready before; null: it does not mind. */
    private function cleanFrom(Bed $bed, Stay $stay): ?Day
    {
        $raw = Pattern::GreenManure === $stay->crop->pattern ? null : $this->raw[$bed->name] ?? null;
        $until = null === $raw ? null : ManureWait::until($raw, $stay->crop) ?? $raw->day->plus(ManureWait::TOUCHING);

        return null === $raw || null === $until || $stay->last < $raw->day->number || $until->number <= $stay->ready ? null : $until;
    }

    /** Whether raw manure or much nitrogen was laid out on the bed within some days before: roots fork in it. */
    public function isRich(string $bed, int $start, int $days): bool
    {
        return [] !== array_filter($this->rich[$bed] ?? [], static fn (int $day): bool => $day <= $start && $start - $day < $days);
    }

    /** Whether any rule keeps something off the bed at some time; where none does, it need not be asked further. */
    private function hasRules(Bed $bed): bool
    {
        $rules = $this->garden->settings->rules;

        return null !== $bed->retired || [] !== $bed->quarantine || [] !== $rules->notHere || isset($rules->resting[$bed->name])
            || isset($this->raw[$bed->name]);
    }

    public function mayStand(Bed $bed, Stay $stay): bool
    {
        return [] === $this->against($bed, $stay) && null === $this->tooNearInFlower($stay->crop, $stay->ready, $bed);
    }

    /** @return list<Breach> hard rules of the bed against a stay there */
    public function against(Bed $bed, Stay $stay): array
    {
        if (!$this->hasRules($bed)) {
            return [];
        }
        $rules = $this->garden->settings->rules;
        $kept = $bed->quarantineOf($stay->crop->family, Day::of($stay->start));
        $rest = $rules->rests($bed->name, $stay->period());
        $clean = $this->cleanFrom($bed, $stay);
        $off = $rules->keepsOff($stay->crop, $bed);

        return array_values(array_filter([
            null === $kept ? null : self::breach(Rule::Quarantined, ...[...self::why($kept->why), 'family' => $stay->crop->family,
                'bed' => $bed->name, 'until' => $kept->until]),
            null === $clean ? null : self::breach(Rule::ManureWaits, crop: $stay->crop->key, bed: $bed->name, until: $clean),
            null === $bed->retired || !$bed->isRetiredOn(Day::of($stay->last)) ? null : self::breach(Rule::Retired, bed: $bed->name,
                since: $bed->retired),
            null === $rest ? null : self::breach(Rule::Resting, ...[...self::why($rest->why), 'bed' => $bed->name,
                'until' => $rest->days->last()]),
            null === $off ? null : self::breach(Rule::NotHere, ...[...self::why($off->why), 'what' => $off->what, 'where' => $off->where]),
        ]));
    }

    /**
     * What spoils it in flower within too few days, and too near. Beds of one block lie side by side in walking order; how
     * far two blocks are apart is not known, and taken for near.
     */
    public function tooNearInFlower(Crop $crop, int $ready, Bed $bed, string $itself = ''): ?Breach
    {
        foreach (null !== $crop->habits->pollen ? $this->stands : [] as $name => $stands) {
            foreach ($stands as $stand) {
                if (!$stand->isPast && $stand->item === $crop->item() && $stand->planting !== $itself
                    && abs($stand->ready - $ready) < $crop->habits->isolationDays && $this->spoils($crop, $stand->variety)
                    && $this->apart($bed, (string) $name) < $crop->habits->isolation) {
                    return self::breach(Rule::TooNearInFlower, crop: $crop->name, days: $crop->habits->isolationDays,
                        metres: Quantity::of($crop->habits->isolation, Unit::Metre));
                }
            }
        }

        return null;
    }

    private function spoils(Crop $crop, string $variety): bool
    {
        return $this->book->has($variety) && $crop->habits->isSpoiledBy($this->book->get($variety)->habits);
    }

    /** Metres between two beds of one block, from middle to middle; of two blocks: none. */
    private function apart(Bed $bed, string $other): float
    {
        [$from, $to] = [min($this->order[$bed->name], $this->order[$other]), max($this->order[$bed->name], $this->order[$other])];
        $metres = 0.0;
        for ($n = $from; $n < $to; ++$n) {
            [$one, $next] = [$this->garden->beds[$n], $this->garden->beds[$n + 1]];
            if ($one->block !== $next->block) {
                return 0.0;
            }
            $metres += ($one->width->metres() + $next->width->metres()) / 2 + $one->path->metres();
        }

        return $metres;
    }

    /**
     * Plantings that stand in the way of a stretch on some of the days: the same ground, and no room beside each other.
     *
     * @return list<string> their keys
     */
    public function inTheWay(Stretch $stretch, int $start, int $last): array
    {
        $found = [];
        foreach ($this->stands[$stretch->bed] ?? [] as $stand) {
            $isThere = !$stand->isPast && $stand->start <= $last && $start <= $stand->last;
            if ($isThere && Stretch::of($stretch->bed, $stand->from, $stand->to, $stand->widthShare)->isInTheWayOf($stretch)) {
                $found[$stand->planting] = $stand->planting;
            }
        }

        return array_values($found);
    }

    /** What of a green manure that stood there still rots on a stretch when its bed is to be made ready. */
    public function restingOn(Stretch $stretch, int $start): ?Occupant
    {
        foreach ($this->stands[$stretch->bed] ?? [] as $stand) {
            if ($stand->last < $start && $start <= $stand->holdsUntil() && $stand->from < $stretch->to && $stretch->from < $stand->to) {
                return $stand;
            }
        }

        return null;
    }

    private function rested(Planting $planting, Stretch $piece): ?int
    {
        $crop = $this->book->has($planting->variety) ? $this->book->get($planting->variety) : null;
        $order = $this->order[$piece->bed] ?? null;

        return null === $order || Pattern::GreenManure !== $crop?->pattern ? null : Residue::restedBy($crop,
            $this->garden->beds[$order]->width, $planting->ground, $planting->clear, $this->garden->place->latitude)->number;
    }

    /** @return array{why: string, hasWhy: string} */
    private static function why(string $why): array
    {
        return ['why' => $why, 'hasWhy' => '' === $why ? 'no' : 'yes'];
    }

    private static function breach(Rule $rule, int|string|Day|Quantity ...$values): Breach
    {
        return new Breach($rule, Message::of($rule, ...$values));
    }

    private function stand(string $planting, Stretch $piece, string $item, string $variety, int $start, int $last, int $ready,
        ?int $rested = null): void
    {
        $crop = $this->book->has($item) ? $this->book->get($item) : null;
        $this->stands[$piece->bed][] = new Occupant(
            $planting, $item, $variety, $crop->family ?? $item, $crop->habits->rotation ?? '', $crop?->feeding->value ?? '',
            $piece->from, $piece->to, $start, $last, $ready, '' === $planting, $piece->widthShare, $rested,
        );
        if ('' !== $planting && isset($this->order[$piece->bed])) {
            $this->families[$crop->family ?? $item][$this->order[$piece->bed]][] = [$start, $last];
        }
    }
}
