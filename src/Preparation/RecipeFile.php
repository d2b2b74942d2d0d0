<?php

declare(strict_types=1);

namespace App\Preparation;

use App\Garden\File\Faults;
use App\Garden\File\Node;
use App\Garden\File\UnusableFile;
use JollyFurrow\Preparation\Kit;
use JollyFurrow\Preparation\Recipe;
use JollyFurrow\Preparation\RecipeBook;
use JollyFurrow\Preparation\RecipeRules;
use JollyFurrow\Preparation\Step;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\SourceKind;
use Symfony\Component\Yaml\Yaml;

/** The preparation recipes that ship with the application: data/recipes.yaml. */
final readonly class RecipeFile
{
    public function __construct(private string $path)
    {
    }

    /** Another one whenever the file is another. */
    public function version(): string
    {
        return (string) md5_file($this->path);
    }

    public function load(): RecipeBook
    {
        $faults = new Faults();
        $recipes = [];
        $values = Yaml::parseFile($this->path);
        foreach (\is_array($values) ? $values : [] as $key => $value) {
            $recipes[] = $this->recipe((string) $key, new Node(\is_array($value) ? $value : [], (string) $key, $faults));
        }
        $recipes = array_values(array_filter($recipes));
        if ($faults->areThere() || [] === $recipes) {
            throw UnusableFile::with($faults);
        }

        return RecipeBook::of($recipes);
    }

    private function source(Node $node): Source
    {
        $kind = $node->choice('source', SourceKind::class);
        $note = $node->has('note') ? $node->text('note', 200) : '';
        if (SourceKind::Published === $kind && '' === $note) {
            $node->fault('note', 'is missing; a published recipe names its publication.');
            $kind = SourceKind::CommonPractice;
        }

        return Source::of($kind, $note);
    }

    private function recipe(string $key, Node $node): ?Recipe
    {
        $steps = array_map(static fn (Node $step): Step => new Step(
            $step->text('name'),
            $step->int('lead', 0, 400),
            $step->float('hours', 0, 1000),
            $step->text('tool', 60),
            $step->text('condition', 120, '/^/'),
            $step->text('caution', 200, '/^/'),
            $step->has('lead_spring') ? $step->int('lead_spring', 0, 400) : null,
            $step->has('lead_cold') ? $step->int('lead_cold', 0, 400) : null,
            $step->has('dry') && $step->bool('dry'),
            $step->has('lays') ? $step->choice('lays', Kit::class) : null,
            $step->has('lifts') ? $step->choice('lifts', Kit::class) : null,
        ), $nodes = $node->objects('steps', 20));
        foreach ([] === $steps ? [] : RecipeRules::faults($steps) as [$i, $field, $words]) {
            ($nodes[$i] ?? $node)->fault($field, $words);
        }
        usort($steps, static fn (Step $a, Step $b): int => $b->leadDays <=> $a->leadDays);

        return [] === $steps ? null : new Recipe($key, $node->text('name'), $node->key('hatch'), $node->bool('compost'), $steps, $this->source($node));
    }
}
