<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\ComingLine;
use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Time\Day;

/** The boxes of the next box days, each as if those before it were packed as planned: turns, rests, and what keeps is used once. */
final readonly class ComingBoxes
{
    private function __construct(public Day $day, public BoxNeeds $needs, public Filling $filling)
    {
    }

    /**
     * @param array<int, list<ComingLine>> $coming by number of the box day, the earliest first
     *
     * @return list<self>
     */
    public static function of(Garden $garden, CropBook $crops, string $outlet, array $coming): array
    {
        $packed = $garden->market->boxes;
        $days = $used = [];
        foreach ($coming as $number => $lines) {
            $day = Day::of($number);
            $needs = BoxNeeds::of($garden, $crops, $outlet, $day, $lines, $packed, $used);
            $there = self::packed($packed, $outlet, $day);
            $filling = Filling::of($needs->items, $needs->classes);
            $days[] = new self($day, $needs, $filling);
            if (null === $there) {
                $packed[] = $there = self::asPacked($outlet, $day, $needs, $filling);
            }
            foreach ($needs->items as $item) {
                if ($item->use < 1.0) {
                    foreach ($needs->classes as $class) {
                        $used[$item->key] = ($used[$item->key] ?? 0) + $class->boxes * ($there->contents[$class->key()][$item->key] ?? 0);
                    }
                }
            }
        }

        return $days;
    }

    /** @param list<BoxWeek> $packed */
    private static function packed(array $packed, string $outlet, Day $day): ?BoxWeek
    {
        return array_values(array_filter($packed, static fn (BoxWeek $b): bool => $b->outlet === $outlet && $b->day->equals($day)))[0]
            ?? null;
    }

    private static function asPacked(string $outlet, Day $day, BoxNeeds $needs, Filling $filling): BoxWeek
    {
        $contents = [];
        foreach ($needs->classes as $class) {
            foreach ($needs->items as $item) {
                if (\in_array($item->key, $filling->contents[$class->key()], true)) {
                    $contents[$class->key()][$item->key] = $item->in($class->size);
                }
            }
        }

        return new BoxWeek($outlet, $day, $contents);
    }
}
