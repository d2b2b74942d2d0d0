<?php

declare(strict_types=1);

namespace JollyFurrow\Years;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\Spray;

/** One bed through the years: what stood on it, what was given to it, tested, noted and brought in. */
final class BedYears
{
    /** @return list<BedYear> the latest first; years of which nothing is known are left out */
    public static function of(Garden $garden, CropBook $book, Bed $bed): array
    {
        $years = [];
        $keys = [];
        foreach ($garden->history as $past) {
            if ($past->stretch->bed === $bed->name) {
                $years[$past->cleared->year()]['stays'][] = new BedStay($past->crop, $book->has($past->crop) ? $book->get($past->crop)
                    : null,
                    $past->stretch, null, $past->cleared, null, null);
            }
        }
        foreach ($garden->plantings->on($bed->name) as $planting) {
            $keys[$planting->key] = true;
            foreach ($planting->pieces as $n => $piece) {
                if ($piece->bed === $bed->name) {
                    $years[$planting->ground->year()]['stays'][] = new BedStay($planting->item, $book->has($planting->item)
                        ? $book->grown($planting->item, $planting->variety) : null, $piece, $planting->bedStart, $planting->clear,
                        $planting,
                        self::isFirst($planting->pieces, $n, $bed->name) ? self::broughtIn($garden, $planting->key, $bed->name) : null);
                }
            }
        }
        $kept = [
            'spreads' => array_filter($garden->soil->spreads, static fn (Spread $s): bool => $s->bed === $bed->name),
            'tests' => array_filter($garden->soil->tests, static fn (SoilTest $t): bool => $t->bed === $bed->name
                || ('' === $t->bed && \in_array($t->block, ['', $bed->block], true))),
            'notes' => array_filter($garden->notes, static fn (FieldNote $n): bool => isset($keys[$n->planting])),
            'sprays' => array_filter($garden->sprays->sprays, static fn (Spray $s): bool => $s->isOn($bed->name)),
        ];
        foreach ($kept as $what => $list) {
            foreach ($list as $one) {
                $years[$one->day->year()][$what][] = $one;
            }
        }
        krsort($years);

        return array_map(self::year(...), array_keys($years), array_values($years));
    }

    /** @param list<\JollyFurrow\Land\Stretch> $pieces */
    private static function isFirst(array $pieces, int $n, string $bed): bool
    {
        foreach ($pieces as $m => $piece) {
            if ($piece->bed === $bed) {
                return $m === $n;
            }
        }

        return false;
    }

    /** Units of sale brought in of a planting from this bed; null: nothing was. */
    private static function broughtIn(Garden $garden, string $planting, string $bed): ?float
    {
        $lots = array_filter($garden->store->of($planting), static fn (HarvestLot $l): bool => $l->bed === $bed);

        return [] === $lots ? null : array_sum(array_map(static fn (HarvestLot $l): float => $l->units(), $lots));
    }

    /**
     * @param array{stays?: list<BedStay>, spreads?: list<Spread>, tests?: list<SoilTest>, notes?: list<FieldNote>,
     *     sprays?: list<Spray>} $of
     */
    private static function year(int $year, array $of): BedYear
    {
        $stays = $of['stays'] ?? [];
        usort($stays, static fn (BedStay $a, BedStay $b): int => [($a->from ?? $a->until)->number, $a->stretch->from]
            <=> [($b->from ?? $b->until)->number, $b->stretch->from]);
        [$spreads, $tests, $notes, $sprays] = [$of['spreads'] ?? [], $of['tests'] ?? [], $of['notes'] ?? [], $of['sprays'] ?? []];
        $byDay = static fn (object $a, object $b): int => self::day($a) <=> self::day($b);
        usort($spreads, $byDay);
        usort($tests, $byDay);
        usort($notes, $byDay);
        usort($sprays, $byDay);

        return new BedYear($year, $stays, $spreads, $tests, $notes, $sprays);
    }

    private static function day(object $kept): int
    {
        return isset($kept->day) && $kept->day instanceof Day ? $kept->day->number : 0;
    }
}
