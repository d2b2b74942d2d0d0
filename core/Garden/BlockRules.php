<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Land\Paths;

/** What goes for one block: how its beds are made ready, what lies between them, which families it is kept for. */
final readonly class BlockRules
{
    /**
     * @param string       $recipe   empty: as in the garden
     * @param list<string> $families families that stand nowhere else as long as there is room; none: any
     */
    public function __construct(public string $recipe = '', public Paths $paths = Paths::Hoed, public array $families = [])
    {
    }

    public function isUsual(): bool
    {
        return $this == new self();
    }
}
