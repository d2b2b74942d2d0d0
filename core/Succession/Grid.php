<?php

declare(strict_types=1);

namespace JollyFurrow\Succession;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Ways\Candidate;

/**
 * Growers' lengths: quarters, halves or the whole of the commonest bed of each place type, or metres; for what is planted
 * out in full trays, trays.
 */
final readonly class Grid
{
    /** @param array<string, int> $quarter micrometres by place type */
    private function __construct(private array $quarter)
    {
    }

    public static function of(Garden $garden): self
    {
        $counts = [];
        foreach ($garden->beds as $bed) {
            $counts[$bed->place->value][$bed->length->micrometres] = ($counts[$bed->place->value][$bed->length->micrometres] ?? 0) + 1;
        }
        $quarter = [];
        foreach ($counts as $place => $lengths) {
            $parts = $garden->settings->rules->lengths->parts();
            $quarter[$place] = 0 === $parts ? Length::METRE : max(1, intdiv((int) array_search(max($lengths), $lengths, true), $parts));
        }

        return new self($quarter);
    }

    /** Micrometres one step of a candidate's length is. */
    public function step(Candidate $candidate): int
    {
        return $candidate->tray ?? $this->quarter[$candidate->place->value];
    }

    /** Metres one step of a candidate's length is. */
    public function metres(Candidate $candidate): float
    {
        return $this->step($candidate) / Length::METRE;
    }

    /** Steps that fit into so many metres; a millimetre more is as good. */
    public function steps(Candidate $candidate, float $metres): int
    {
        return (int) floor(($metres * Length::METRE + Length::MILLIMETRE) / $this->step($candidate));
    }

    /** Micrometres. */
    public function quarter(PlaceType $place): int
    {
        return $this->quarter[$place->value];
    }
}
