<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

use JollyFurrow\Exception\Quote;

/** Whether the steps of a recipe hang together. */
final class RecipeRules
{
    public const LONGEST_LEAD = 400;

    /**
     * @param list<Step> $steps as written
     *
     * @return list<array{int, string, string}> step (-1: the recipe), field, what is wrong and would be right
     */
    public static function faults(array $steps): array
    {
        if ([] === $steps) {
            return [[-1, 'steps', 'A recipe has at least one step.']];
        }
        $faults = [];
        $names = [];
        foreach ($steps as $i => $step) {
            foreach (BedSeason::cases() as $season) {
                if ($step->leadIn($season) < 0 || $step->leadIn($season) > self::LONGEST_LEAD) {
                    $faults[] = [$i, 'lead', \sprintf('%d days: a step begins from 0 to %d days before planting.',
                        $step->leadIn($season), self::LONGEST_LEAD)];
                    break;
                }
            }
            if ($step->leadIn(BedSeason::Spring) < $step->leadDays || $step->leadIn(BedSeason::Cold) < $step->leadIn(BedSeason::Spring)) {
                $faults[] = [$i, 'lead', \sprintf('%d days in the warm, %d in spring, %d in the cold: it does not take less time when it is colder.', $step->leadDays, $step->leadIn(BedSeason::Spring), $step->leadIn(BedSeason::Cold))];
            }
            if ([] !== ($unknown = Tools::unknown($step->tool))) {
                $faults[] = [$i, 'tool', \sprintf('%s is no tool known here; there are %s.', Quote::of($unknown[0]),
                    implode(', ', Tools::known()))];
            }
            if (isset($names[$step->name])) {
                $faults[] = [$i, 'name', \sprintf('%s stands twice; steps have names of their own.', Quote::of($step->name))];
            }
            $names[$step->name] = true;
        }

        return [...$faults, ...self::kit($steps)];
    }

    /**
     * What is laid is lifted again before planting or stays; what is lifted was laid before.
     *
     * @param list<Step> $steps
     *
     * @return list<array{int, string, string}>
     */
    private static function kit(array $steps): array
    {
        $faults = [];
        foreach ($steps as $i => $lift) {
            if (null === $lift->lifts) {
                continue;
            }
            $lays = array_filter($steps, static fn (Step $s): bool => $s->lays === $lift->lifts);
            if ([] === $lays) {
                $faults[] = [$i, 'lifts', \sprintf('It takes up %s that no step lays.', $lift->lifts->words())];
            }
            foreach ($lays as $lay) {
                foreach (BedSeason::cases() as $season) {
                    if ($lay->leadIn($season) <= $lift->leadIn($season)) {
                        $faults[] = [$i, 'lead', \sprintf('It takes up %s %d days before planting, but they are laid %d days before: the other way round, %s.', $lift->lifts->words(), $lift->leadIn($season), $lay->leadIn($season), match ($season) {
                            BedSeason::Warm => 'in the warm of the year', BedSeason::Spring => 'in spring',
                            BedSeason::Cold => 'in the cold of the year',
                        })];
                        break 2;
                    }
                }
            }
        }

        return $faults;
    }
}
