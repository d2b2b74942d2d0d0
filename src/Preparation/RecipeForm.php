<?php

declare(strict_types=1);

namespace App\Preparation;

use App\Shared\Entry;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeRules;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Recipe\Tools;
use JollyFurrow\Working\Source;

/** Reads the form of a recipe; what is wrong is told at the field of its step. */
final class RecipeForm
{
    /** Rows for steps; those without a name are left out. */
    public const ROWS = 8;
    public const HATCHES = ['mulch', 'tarp', 'fork', 'stale', 'strip', 'plough', 'turn', 'trench', 'ridge'];

    public static function read(Entry $entry, string $key): ?Recipe
    {
        $name = $entry->text('name', 80);
        $hatch = $entry->oneOf('hatch', self::HATCHES);
        $steps = $rows = [];
        for ($row = 0; $row < self::ROWS; ++$row) {
            if ('' !== $entry->raw('s'.$row.'-name')) {
                $steps[] = self::step($entry, 's'.$row.'-');
                $rows[] = $row;
            }
        }
        if (!$entry->isGood()) {
            return null;
        }
        foreach (RecipeRules::faults($steps) as [$i, $field, $words]) {
            $entry->fault(-1 === $i ? 's0-name' : 's'.($rows[$i] ?? 0).'-'.$field, $words);
        }
        if (!$entry->isGood() || [] === $steps) {
            return null;
        }
        usort($steps, static fn (Step $a, Step $b): int => $b->leadDays <=> $a->leadDays);

        return new Recipe($key, $name, $hatch, '1' === $entry->raw('compost'), $steps, Source::garden(),
            Mulch::tryFrom($entry->raw('mulch')) ?? Mulch::None);
    }

    /** @return array<string, string> fields of the form, filled with a recipe */
    public static function filled(Recipe $recipe): array
    {
        $fields = ['name' => $recipe->name, 'hatch' => $recipe->hatch, 'compost' => $recipe->spreadsCompost ? '1' : '',
            'mulch' => $recipe->mulch->value];
        foreach ($recipe->steps as $i => $step) {
            $fields += ['s'.$i.'-name' => $step->name, 's'.$i.'-lead' => (string) $step->leadDays,
                's'.$i.'-spring' => (string) $step->leadSpring, 's'.$i.'-cold' => (string) $step->leadCold,
                's'.$i.'-hours' => (string) $step->hoursPer100Metres, 's'.$i.'-tool' => $step->tool,
                's'.$i.'-condition' => $step->condition, 's'.$i.'-dry' => $step->needsDry ? '1' : '',
                's'.$i.'-lays' => $step->lays->value ?? '', 's'.$i.'-lifts' => $step->lifts->value ?? ''];
        }

        return $fields;
    }

    private static function step(Entry $entry, string $at): Step
    {
        $tool = $entry->text($at.'tool', 60);

        return new Step(
            $entry->text($at.'name', 120),
            $entry->int($at.'lead', 0, RecipeRules::LONGEST_LEAD),
            $entry->float($at.'hours', 0, 1000),
            $tool,
            mb_substr($entry->raw($at.'condition'), 0, 120),
            Tools::caution($tool),
            $entry->optionalInt($at.'spring', 0, RecipeRules::LONGEST_LEAD),
            $entry->optionalInt($at.'cold', 0, RecipeRules::LONGEST_LEAD),
            '1' === $entry->raw($at.'dry'),
            Kit::tryFrom($entry->raw($at.'lays')),
            Kit::tryFrom($entry->raw($at.'lifts')),
        );
    }
}
