<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;

/** What a note comes to: the planting as it now is, and those after it on its ground that make way. */
final readonly class Noted
{
    /**
     * @param non-empty-list<Planting> $plantings what stands in the place of the planting; the first is the one the note is of
     * @param array<string, Planting>  $later     those that come later now, by key
     */
    private function __construct(public array $plantings, public array $later)
    {
    }

    /**
     * @param string $bed       another bed than planned; empty: where it was planned
     * @param bool   $restStays the part that is not in the note stays as it was
     * @param string $at        of a planting on several beds, the one the note is of; empty: all of them
     *
     * @throws CannotBeDone naming the field
     */
    public static function of(Garden $garden, Planting $planting, FieldNote $note, CropBook $book, RecipeBook $recipes,
        string $bed = '', bool $restStays = true, string $at = ''): self
    {
        $after = (new FieldWork($book, new ByHand($book, $recipes)))->after($garden, $planting, $note, $bed, $restStays, $at);
        $then = $garden->with([...$garden->plantings->without($planting->key), ...$after]);
        [$after[0], $later] = (new MakeWay($book, $recipes))->for($then, $after[0]);

        return new self($after, $later);
    }

    /** @return list<Planting> as they were, that are others now */
    public function before(Garden $garden, Planting $planting): array
    {
        return [$planting, ...$garden->plantings->where(fn (Planting $p): bool => isset($this->later[$p->key]))->all()];
    }

    /** @return list<Planting> as they are now */
    public function after(): array
    {
        return [...$this->plantings, ...array_values($this->later)];
    }
}
