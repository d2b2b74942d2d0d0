<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** The beds of a garden in walking order and what stands on each, as plantings find their place. */
final class Ground
{
    /** @var array<string, list<Stand>> by bed */
    private array $stands = [];
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
        foreach ($garden->history as $past) {
            $day = $past->cleared->number;
            $this->stand($past->stretch->bed, $past->crop, $past->crop, $past->stretch->from, $past->stretch->to, $day, $day, $day, true);
        }
    }

    public function take(Planting $planting): void
    {
        foreach ($planting->pieces as $piece) {
            $this->stand($piece->bed, $planting->item, $planting->variety, $piece->from, $piece->to, $planting->bedStart->number, $planting->clear->number, $planting->ready->number, false);
            $this->gap->stood($piece, $planting->item, $planting->occupancy());
        }
    }

    /** @return list<Stand> in the order they were noted */
    public function on(string $bed): array
    {
        return $this->stands[$bed] ?? [];
    }

    /** @return array<string, list<Stand>> */
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
        $length = $bed->length->millimetres;
        $blocked = [];
        foreach ($this->stands[$bed->name] as $stand) {
            if (!$stand->isPast && $stand->start <= $last && $start <= $stand->last) {
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

    /** Hard rules: why a crop may not stand there on those days; null: nothing is against it. */
    public function forbids(Bed $bed, Crop $crop, int $start, int $last): ?string
    {
        if ([] === $bed->quarantine && [] === $this->garden->settings->rules->notHere && !isset($this->garden->settings->rules->resting[$bed->name])) {
            return null;
        }
        $rules = $this->garden->settings->rules;
        $kept = $bed->quarantineOf($crop->family, Day::of($start));
        $off = $rules->keepsOff($crop, $bed);
        $rest = $rules->rests($bed->name, Period::fromFirstToLast(Day::of($start), Day::of(max($start, $last))));

        return match (true) {
            null !== $kept => \sprintf('the %s family is in quarantine there until %s', strtolower($crop->family), $kept->until->iso()),
            null !== $off => \sprintf('%s is kept off %s%s', $off->what, $off->where, '' === $off->why ? '' : ': '.$off->why),
            null !== $rest => \sprintf('it rests until %s', $rest->days->last()->iso()),
            default => null,
        };
    }

    private function stand(string $bed, string $item, string $variety, int $from, int $to, int $start, int $last, int $ready, bool $isPast): void
    {
        $crop = $this->book->has($item) ? $this->book->get($item) : null;
        $this->stands[$bed][] = new Stand($item, $variety, $crop->family ?? $item, $crop->habits->rotation ?? '', $crop?->feeding->value ?? '', $from, $to, $start, $last, $ready, $isPast);
        if (!$isPast && isset($this->order[$bed])) {
            $this->families[$crop->family ?? $item][$this->order[$bed]][] = [$start, $last];
        }
    }
}
