<?php

declare(strict_types=1);

namespace JollyFurrow\Map;

/** A path, a water point or line, or a building on the map, in metres east and north of the map's corner. */
final readonly class GroundMark
{
    /** @param non-empty-list<array{float, float}> $points one: a point; more: a line, or the outline of a building */
    public function __construct(public MarkKind $kind, public string $name, public array $points)
    {
    }
}
