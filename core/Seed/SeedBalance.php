<?php

declare(strict_types=1);

namespace JollyFurrow\Seed;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;

/**
 * Seed and planting stock the plan still needs against what is in the drawer. What was sown since a lot was counted is
 * taken off it, the oldest lot first.
 */
final class SeedBalance
{
    /** More than the sums say, for what spills and runs short (common practice, no source). */
    public const RESERVE = 0.1;
    /** Packets where nobody said how it is sold, grams. */
    private const PACKETS = [0.5, 1, 2, 5, 10, 25, 50, 100, 250, 500, 1000, 5000, 10000, 25000];

    /** @return list<VarietySeed> by crop and variety; of those needed, or of which there is a lot */
    public static function of(Garden $garden, CropBook $crops): array
    {
        $beds = $garden->bedsByName();
        $months = $sown = $lots = [];
        foreach ($garden->plantings as $planting) {
            $grams = self::grams($crops->grown($planting->item, $planting->variety), $planting, $beds);
            if (Standing::Planned === $planting->standing && !$planting->isOver($garden->today)) {
                $month = substr($planting->sow->iso(), 0, 7);
                $months[$planting->variety][$month] = ($months[$planting->variety][$month] ?? 0.0) + $grams * (1 + self::RESERVE);
            } elseif (Standing::Planned !== $planting->standing) {
                $sown[$planting->variety][] = [$planting->sow, $grams];
            }
        }
        foreach ($garden->diary->seedLots as $lot) {
            $lots[$lot->variety][] = $lot;
        }
        $all = [];
        foreach (array_unique([...array_keys($months), ...array_keys($lots)]) as $variety) {
            if ($crops->has((string) $variety)) {
                $all[] = self::variety($crops->get((string) $variety), $months[$variety] ?? [], $lots[$variety] ?? [], $sown[$variety]
                    ?? [],
                    $garden->today->year());
            }
        }
        usort($all, static fn (VarietySeed $a, VarietySeed $b): int => [$a->crop->name, $a->crop->key] <=> [$b->crop->name, $b->crop->key]);

        return $all;
    }

    /** @param array<string, Bed> $beds by name */
    private static function grams(Crop $crop, Planting $planting, array $beds): float
    {
        $stand = $crop->standFor($planting->method);
        $width = $beds[$planting->pieces[0]->bed ?? '']->width ?? Length::fromMicrometres(Spacing::STANDARD_WIDTH);

        return SeedNeed::of($crop, $planting->method, Spacing::inBed($stand, $width, $planting->length()))->grams->value;
    }

    /**
     * @param array<string, float>    $months
     * @param list<SeedLot>           $lots
     * @param list<array{Day, float}> $sown   day and grams
     */
    private static function variety(Crop $crop, array $months, array $lots, array $sown, int $year): VarietySeed
    {
        ksort($months);
        usort($lots, static fn (SeedLot $a, SeedLot $b): int => [$a->year, $a->key] <=> [$b->year, $b->key]);
        $left = [];
        foreach ($lots as $lot) {
            $used = 0.0;
            foreach ($sown as $i => [$day, $grams]) {
                if (!$day->isBefore($lot->counted)) {
                    $taken = min($grams, $lot->grams - $used);
                    $used += $taken;
                    $sown[$i][1] -= $taken;
                }
            }
            $left[] = LotLeft::of($lot, $crop, $used, $year);
        }
        $need = array_sum($months);
        $short = max(0.0, $need - array_sum(array_map(static fn (LotLeft $l): float => $l->usable, $left)));
        $last = [] === $lots ? null : $lots[\count($lots) - 1];
        $packet = $last->packet ?? self::packet($short);

        return new VarietySeed($crop, $months, $left, $need, $short, $last->supplier ?? '', $packet, $short > 0.0
            ? (int) ceil($short / $packet - 1e-9) : 0, $last?->cents);
    }

    /** The largest usual packet that is no more than wanted; the smallest there is. */
    private static function packet(float $short): float
    {
        $fits = array_filter(self::PACKETS, static fn (float|int $packet): bool => $packet <= $short);

        return (float) ([] === $fits ? self::PACKETS[0] : max($fits));
    }
}
