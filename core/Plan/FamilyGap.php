<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Garden\Stretch;
use JollyFurrow\Time\Period;

/** Years from clearing one crop to planting another of its family on the same stretch. A soft rule. */
final class FamilyGap
{
    private const YEAR = 365;

    /** @var array<string, array<string, list<array{Stretch, string, int, int}>>> bed, family => stretch, crop, first and last day */
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

    /** @return list<array{int, int}> stretches of a bed closed to the item for the sake of the gap */
    public function closed(string $bed, string $item, PlaceType $place, Period $stay): array
    {
        $closed = [];
        foreach ($this->tooNear($bed, $item, $place, $stay) as [$stretch]) {
            $closed[] = [$stretch->from, $stretch->to];
        }

        return $closed;
    }

    /** What the gap says against this piece, in words, or null. */
    public function breach(Stretch $piece, string $item, PlaceType $place, Period $stay): ?string
    {
        $worst = null;
        foreach ($this->tooNear($piece->bed, $item, $place, $stay) as [$stretch, $crop, $days]) {
            if ($stretch->common($piece) > 0 && (null === $worst || $days < $worst[1])) {
                $worst = [$crop, $days];
            }
        }

        return null === $worst ? null : \sprintf('%s family again on %s: %s apart from %s, %d years are wished for.',
            $this->family($item), $piece->bed, self::time($worst[1]), strtolower($this->name($worst[0])), $this->garden->settings->rotation[$place->value] ?? 0);
    }

    /** @return list<array{Stretch, string, int}> stretch, crop and days between */
    private function tooNear(string $bed, string $item, PlaceType $place, Period $stay): array
    {
        $wanted = self::YEAR * ($this->garden->settings->rotation[$place->value] ?? 0);
        $near = [];
        foreach ($this->stood[$bed][$this->family($item)] ?? [] as [$stretch, $crop, $first, $last]) {
            $days = $first > $stay->start->number ? $first - $stay->last()->number : $stay->start->number - $last;
            if ($days < $wanted) {
                $near[] = [$stretch, $crop, max(0, $days)];
            }
        }

        return $near;
    }

    private function note(Stretch $stretch, string $item, int $first, int $last): void
    {
        $this->stood[$stretch->bed][$this->family($item)][] = [$stretch, $item, $first, $last];
    }

    private function family(string $item): string
    {
        return $this->book->has($item) ? $this->book->get($item)->family : $item;
    }

    private function name(string $item): string
    {
        return $this->book->has($item) ? $this->book->get($item)->name : $item;
    }

    private static function time(int $days): string
    {
        return $days < 70 ? $days.' days' : ($days < self::YEAR ? intdiv($days, 30).' months' : number_format($days / self::YEAR, 1).' years');
    }
}
