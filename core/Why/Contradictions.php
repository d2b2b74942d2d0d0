<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Need\Needs;
use JollyFurrow\Time\Period;

/** Rules of a garden that cannot all be kept, in words, with what would mend it. The plan is drawn up all the same. */
final class Contradictions
{
    /** @return list<string> */
    public static function of(Garden $garden, CropBook $book): array
    {
        return [...self::restingBeds($garden, $book), ...self::places($garden), ...self::crops($garden, $book)];
    }

    /** @return list<string> plantings that stay, on beds that rest */
    private static function restingBeds(Garden $garden, CropBook $book): array
    {
        $words = [];
        foreach ($garden->plantings as $planting) {
            foreach ($planting->isOver($garden->today) ? [] : $planting->pieces as $piece) {
                $rest = $garden->settings->rules->rests($piece->bed, $planting->occupancy());
                if (null !== $rest) {
                    $words[] = \sprintf('%s%s stands on bed %s until %s, and the bed is to rest from %s to %s. Move the planting, or let the bed rest another time.', $book->has($planting->item) ? $book->get($planting->item)->name : $planting->item, $planting->locked ? ', locked,' : '', $piece->bed, $planting->clear->iso(), $rest->days->start->iso(), $rest->days->last()->iso());
                }
            }
        }

        return $words;
    }

    /** @return list<string> kinds of beds the plan may not use at all */
    private static function places(Garden $garden): array
    {
        $rules = $garden->settings->rules;
        $year = Period::fromFirstToLast($garden->today, $garden->today->plus(365));
        $words = [];
        foreach (PlaceType::cases() as $place) {
            $beds = array_filter($garden->beds, static fn (Bed $bed): bool => $bed->place === $place);
            $free = array_filter($beds, static fn (Bed $bed): bool => !\in_array($bed->name, $rules->reserveBeds, true) && null === self::restsAll($garden, $bed, $year));
            if ([] !== $beds && [] === $free) {
                $words[] = \sprintf('Every %s bed is kept in reserve or rests for the whole year: nothing can be planned there. Free at least one.', $place->words());
            }
        }

        return $words;
    }

    private static function restsAll(Garden $garden, Bed $bed, Period $year): ?string
    {
        foreach ($garden->settings->rules->resting[$bed->name] ?? [] as $rest) {
            if (!$year->start->isBefore($rest->days->start) && !$rest->days->last()->isBefore($year->last())) {
                return $bed->name;
            }
        }

        return null;
    }

    /** @return list<string> promised crops that are kept off every bed they could stand on, or wished to be grown as they never are */
    private static function crops(Garden $garden, CropBook $book): array
    {
        $rules = $garden->settings->rules;
        $words = [];
        foreach (Needs::of($garden, $book)->items() as $item) {
            $crop = $book->get($item);
            $beds = array_filter($garden->beds, static fn (Bed $bed): bool => \in_array($bed->place, $crop->places(), true));
            $off = array_filter($beds, static fn (Bed $bed): bool => null !== $rules->keepsOff($crop, $bed) || null !== $bed->quarantineOf($crop->family, $garden->today));
            if ([] !== $beds && \count($off) === \count($beds)) {
                $words[] = \sprintf('%s is promised, and kept off every bed it could stand on. Allow it somewhere, or drop its promises.', $crop->name);
            }
            $method = $rules->methods[$item] ?? null;
            if (null !== $method && !\in_array($method, $crop->methods(), true)) {
                $words[] = \sprintf('%s is wished to be %s, and the crop book has no days for that. Take the wish back, or give the crop its days.', $crop->name, $method->words());
            }
        }

        return $words;
    }
}
