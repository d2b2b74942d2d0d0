<?php

declare(strict_types=1);

namespace JollyFurrow\Years;

use JollyFurrow\Beds\FamilyYears;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Shelter\PlaceType;

/**
 * What becomes of the rotation when next season each block gets what stood in the one so many blocks before it: the old way of
 * turning blocks, every turn of them compared. Blocks of the open field only; a roof has its own crops.
 */
final class NextBlocks
{
    /** @return list<BlockShift> what bends the rotation least first */
    public static function of(Garden $garden, CropBook $book): array
    {
        $blocks = self::openBlocks($garden);
        $stood = self::stood($garden, FamilyYears::of($garden, $book));
        $next = $garden->today->year() + 1;
        $gap = $garden->settings->rotation[PlaceType::Field->value] ?? 0;
        $shifts = [];
        for ($by = 0; $by < \count($blocks) && \count($blocks) > 1; ++$by) {
            $given = [];
            $soon = 0.0;
            foreach ($blocks as $n => $block) {
                $from = $blocks[($n - $by + \count($blocks)) % \count($blocks)];
                foreach ($stood[$from][$next - 1] ?? [] as $family => $metres) {
                    $there = 0.0;
                    // From clearing in one year to planting in another lies less than their difference in whole years.
                    for ($year = $next - $gap; $year < $next; ++$year) {
                        $there = max($there, $stood[$block][$year][$family] ?? 0.0);
                    }
                    $given[$block][] = ['family' => (string) $family, 'metres' => $metres, 'soon' => min($metres, $there)];
                    $soon += min($metres, $there);
                }
            }
            $shifts[] = new BlockShift($by, $given, $soon);
        }
        usort($shifts, static fn (BlockShift $a, BlockShift $b): int => [round($a->soon, 3), $a->by] <=> [round($b->soon, 3), $b->by]);

        return $shifts;
    }

    /** @return list<string> */
    private static function openBlocks(Garden $garden): array
    {
        return array_values(array_filter($garden->blocks, static function (string $block) use ($garden): bool {
            $beds = array_filter($garden->bedsInUse(), static fn (Bed $b): bool => $b->block === $block);

            return [] !== $beds && [] === array_filter($beds, static fn (Bed $b): bool => PlaceType::Field !== $b->place);
        }));
    }

    /** @return array<string, array<int, array<string, float>>> metres by block, year and family, the largest first */
    private static function stood(Garden $garden, FamilyYears $years): array
    {
        $stood = [];
        foreach ($garden->bedsInUse() as $bed) {
            foreach ($years->stays[$bed->name] ?? [] as $year => $stays) {
                foreach ($stays as $family => $stay) {
                    $stood[$bed->block][$year][$family] = ($stood[$bed->block][$year][$family] ?? 0.0) + $stay->metres;
                }
            }
        }
        foreach ($stood as $block => $byYear) {
            foreach ($byYear as $year => $families) {
                arsort($families);
                $stood[$block][$year] = $families;
            }
        }

        return $stood;
    }
}
