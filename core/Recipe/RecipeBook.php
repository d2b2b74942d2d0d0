<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

final readonly class RecipeBook
{
    /** @param non-empty-array<string, Recipe> $recipes */
    private function __construct(private array $recipes)
    {
    }

    /** @param non-empty-list<Recipe> $recipes */
    public static function of(array $recipes): self
    {
        $byKey = [];
        foreach ($recipes as $recipe) {
            $byKey[$recipe->key] = $recipe;
        }

        return new self($byKey);
    }

    /** @param list<Recipe> $more in the place of those of the same key */
    public function with(array $more): self
    {
        return self::of([...array_values($this->recipes), ...$more]);
    }

    public function has(string $key): bool
    {
        return isset($this->recipes[$key]);
    }

    public function get(string $key): Recipe
    {
        return $this->recipes[$key] ?? throw new \OutOfBoundsException(\sprintf('There is no preparation recipe "%s".', $key));
    }

    /** @return list<Recipe> */
    public function all(): array
    {
        return array_values($this->recipes);
    }
}
