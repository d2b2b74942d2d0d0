<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Message\Message;
use JollyFurrow\Need\Needs;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Period;

/** Rules of a garden that cannot all be kept, with what would mend it. The plan is drawn up all the same. */
final class Contradictions
{
    /** @return list<Message> */
    public static function of(Garden $garden, CropBook $book): array
    {
        return [...self::restingBeds($garden, $book), ...self::places($garden), ...self::crops($garden, $book)];
    }

    /** @return list<Message> plantings that stay, on beds that rest */
    private static function restingBeds(Garden $garden, CropBook $book): array
    {
        $words = [];
        foreach ($garden->plantings as $planting) {
            foreach ($planting->isOver($garden->today) ? [] : $planting->pieces as $piece) {
                $rest = $garden->settings->rules->rests($piece->bed, $planting->occupancy());
                if (null !== $rest) {
                    $words[] = Message::of(
                        Contradiction::OnARestingBed,
                        crop: $book->has($planting->item) ? $book->get($planting->item)->name : $planting->item,
                        locked: $planting->locked ? 'yes' : 'no',
                        bed: $piece->bed,
                        until: $planting->clear,
                        from: $rest->days->start,
                        to: $rest->days->last(),
                    );
                }
            }
        }

        return $words;
    }

    /** @return list<Message> kinds of beds the plan may not use at all */
    private static function places(Garden $garden): array
    {
        $rules = $garden->settings->rules;
        $year = Period::fromFirstToLast($garden->today, $garden->today->plus(365));
        $words = [];
        foreach (PlaceType::cases() as $place) {
            $beds = array_filter($garden->beds, static fn (Bed $bed): bool => $bed->place === $place);
            $free = array_filter($beds, static fn (Bed $bed): bool => !\in_array($bed->name, $rules->reserveBeds, true)
                && null === self::restsAll($garden, $bed, $year));
            if ([] !== $beds && [] === $free) {
                $words[] = Message::of(Contradiction::NoBedOfItsKind, place: $place);
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

    /** @return list<Message> promised crops that are kept off every bed they could stand on, or wished to be grown as they never are */
    private static function crops(Garden $garden, CropBook $book): array
    {
        $rules = $garden->settings->rules;
        $words = [];
        foreach (Needs::of($garden, $book)->items() as $item) {
            $crop = $book->get($item);
            $beds = array_filter($garden->beds, static fn (Bed $bed): bool => \in_array($bed->place, $crop->places(), true));
            $off = array_filter($beds, static fn (Bed $bed): bool => null !== $rules->keepsOff($crop, $bed)
                || null !== $bed->quarantineOf($crop->family, $garden->today));
            if ([] !== $beds && \count($off) === \count($beds)) {
                $words[] = Message::of(Contradiction::KeptOffEverywhere, crop: $crop->name);
            }
            $method = $rules->methods[$item] ?? null;
            if (null !== $method && !\in_array($method, $crop->methods(), true)) {
                $words[] = Message::of(Contradiction::NoDaysForThatWay, crop: $crop->name, method: $method);
            }
        }

        return $words;
    }
}
