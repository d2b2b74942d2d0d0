<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Period;

/** Years from clearing one crop to planting another of its family on the same stretch. A soft rule. */
final class FamilyGap
{
    private const YEAR = 365;

    /** @var array<string, array<string, list<array{int, int, string, int, int}>>> bed, family => from, to, crop, first and last day */
    private array $stood = [];

    public function __construct(private readonly Garden $garden, private readonly CropBook $book)
    {
        foreach ($garden->history as $past) {
            $this->note($past->stretch, $past->crop, $past->cleared->number, $past->cleared->number);
        }
    }

    public function stood(Stretch $stretch, string $item, Period $when): void
    {
        $this->note($stretch, $item, $when->start->number, $when->last()->number);
    }

    /** What the gap says against this piece, or null. */
    public function breach(Stretch $piece, string $item, PlaceType $place, Period $stay): ?Breach
    {
        $worst = null;
        foreach ($this->tooNear($piece->bed, $item, $place, $stay->start->number, $stay->last()->number) as [$from, $to, $crop, $days]) {
            if ($from < $piece->to && $piece->from < $to && (null === $worst || $days < $worst[1])) {
                $worst = [$crop, $days];
            }
        }
        if (null === $worst) {
            return null;
        }

        return new Breach(Rule::FamilyTooSoon, Message::of(
            Rule::FamilyTooSoon,
            family: $this->family($item),
            bed: $piece->bed,
            apart: Quantity::of($worst[1], Unit::Span),
            other: $this->name($worst[0]),
            years: $this->garden->settings->rotation[$place->value] ?? 0,
        ));
    }

    /** @return list<array{int, int, string, int}> what stood or is to stand too near in time: from, to, crop and days between */
    public function tooNear(string $bed, string $item, PlaceType $place, int $start, int $last): array
    {
        $wanted = self::YEAR * ($this->garden->settings->rotation[$place->value] ?? 0);
        $near = [];
        foreach ($wanted > 0 ? $this->stood[$bed][$this->family($item)] ?? [] : [] as [$from, $to, $crop, $first, $until]) {
            $days = $first > $start ? $first - $last : $start - $until;
            if ($days < $wanted) {
                $near[] = [$from, $to, $crop, max(0, $days)];
            }
        }

        return $near;
    }

    private function note(Stretch $stretch, string $item, int $first, int $last): void
    {
        $this->stood[$stretch->bed][$this->family($item)][] = [$stretch->from, $stretch->to, $item, $first, $last];
    }

    private function family(string $item): string
    {
        return $this->book->has($item) ? $this->book->get($item)->family : $item;
    }

    private function name(string $item): string
    {
        return $this->book->has($item) ? $this->book->get($item)->name : $item;
    }
}
