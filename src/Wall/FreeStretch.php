<?php

declare(strict_types=1);

namespace App\Wall;

use App\Shared\Entry;
use JollyFurrow\Beds\Ground;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

/** Beds with so many metres in one piece free on all of some days, and where that lies on the wall. */
final readonly class FreeStretch
{
    private const LONGEST_DAYS = 730;

    /** @param array<string, list<array{x: float, y: float, w: float, h: float, length: Length}>> $beds by name, in walking order */
    private function __construct(public Length $wanted, public Day $from, public Day $to, public array $beds)
    {
    }

    /** Null: nothing was asked for, or something about it is wrong and told at its field. */
    public static function asked(Entry $entry, Garden $garden, CropBook $book, Scale $scale): ?self
    {
        if ('' === $entry->raw('free')) {
            return null;
        }
        $wanted = $entry->length('free', $garden->settings->units->longUnit(), 0.1, 500);
        $from = $entry->day('free_from');
        $to = $entry->day('free_to');
        if ($entry->isGood() && ($to->isBefore($from) || $to->since($from) > self::LONGEST_DAYS)) {
            $entry->fault('free_to', 'The last day comes after the first, within two years.');
        }

        return $entry->isGood() ? self::of($garden, $book, $wanted, $from, $to, $scale) : null;
    }

    public static function of(Garden $garden, CropBook $book, Length $wanted, Day $from, Day $to, Scale $scale): self
    {
        $ground = Ground::under($garden, $book, $garden->plantings);
        $beds = [];
        foreach ($garden->bedsInUse() as $bed) {
            foreach ($ground->free($bed, $from->number, $to->number) as [$start, $end]) {
                if ($end - $start >= $wanted->micrometres) {
                    $beds[$bed->name][] = self::drawn($bed, $start, $end, $scale->x($from->number), $scale->x($to->number + 1));
                }
            }
        }

        return new self($wanted, $from, $to, $beds);
    }

    /** @return array{x: float, y: float, w: float, h: float, length: Length} */
    private static function drawn(Bed $bed, int $start, int $end, float $x, float $until): array
    {
        $tall = Strip::BED * ($end - $start) / $bed->length->micrometres;

        return ['x' => $x, 'y' => round(Strip::HEAD + Strip::BED * (1 - $start / $bed->length->micrometres) - $tall, 1),
            'w' => round($until - $x, 1), 'h' => round($tall, 1), 'length' => Length::fromMicrometres($end - $start)];
    }
}
