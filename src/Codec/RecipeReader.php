<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeRules;
use JollyFurrow\Recipe\Step;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\SourceKind;

/** Reads a recipe out of a file, and writes one; the two are each other's inverse. */
final class RecipeReader
{
    /** Null when a fault stands at the node. */
    public static function recipe(string $key, Node $node): ?Recipe
    {
        $nodes = $node->objects('steps', 20);
        $steps = array_map(self::step(...), $nodes);
        foreach ([] === $steps ? [] : RecipeRules::faults($steps) as [$i, $field, $words]) {
            ($nodes[$i] ?? $node)->fault($field, $words);
        }
        usort($steps, static fn (Step $a, Step $b): int => $b->leadDays <=> $a->leadDays);

        return [] === $steps ? null : new Recipe($key, $node->text('name', 80), $node->key('hatch'), $node->bool('compost'), $steps,
            self::source($node), $node->has('mulch') ? $node->choice('mulch', Mulch::class) : Mulch::None);
    }

    /** @return array<string, mixed> */
    public static function values(Recipe $recipe): array
    {
        return [
            'key' => $recipe->key, 'name' => $recipe->name, 'hatch' => $recipe->hatch, 'compost' => $recipe->spreadsCompost,
                'source' => $recipe->source->kind->value,
            ...($recipe->mulch->isBare() ? [] : ['mulch' => $recipe->mulch->value]),
            ...('' === $recipe->source->note ? [] : ['note' => $recipe->source->note]),
            'steps' => array_map(static fn (Step $s): array => array_filter(['name' => $s->name, 'lead' => $s->leadDays,
                'lead_spring' => $s->leadSpring, 'lead_cold' => $s->leadCold, 'hours' => $s->hoursPer100Metres, 'tool' => $s->tool,
                'condition' => $s->condition, 'caution' => $s->caution, 'dry' => $s->needsDry ? true : null, 'lays' => $s->lays?->value,
                'lifts' => $s->lifts?->value], static fn (mixed $v): bool => null !== $v), $recipe->steps),
        ];
    }

    private static function step(Node $step): Step
    {
        return new Step(
            $step->text('name'),
            $step->int('lead', 0, RecipeRules::LONGEST_LEAD),
            $step->float('hours', 0, 1000),
            $step->text('tool', 60),
            $step->text('condition', 120, '/^/'),
            $step->text('caution', 200, '/^/'),
            $step->has('lead_spring') ? $step->int('lead_spring', 0, RecipeRules::LONGEST_LEAD) : null,
            $step->has('lead_cold') ? $step->int('lead_cold', 0, RecipeRules::LONGEST_LEAD) : null,
            $step->has('dry') && $step->bool('dry'),
            $step->has('lays') ? $step->choice('lays', Kit::class) : null,
            $step->has('lifts') ? $step->choice('lifts', Kit::class) : null,
        );
    }

    private static function source(Node $node): Source
    {
        $kind = $node->choice('source', SourceKind::class);
        $note = $node->has('note') ? $node->text('note', 200) : '';
        if (SourceKind::Published === $kind && '' === $note) {
            $node->fault('note', 'is missing; a published recipe names its publication.');
            $kind = SourceKind::CommonPractice;
        }

        return Source::of($kind, $note);
    }
}
