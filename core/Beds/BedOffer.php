<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Message\Message;

/** Where a planting would stand, what the bent rules weigh there, and what the next best place would have weighed. */
final readonly class BedOffer
{
    /**
     * @param list<Stretch>        $pieces   none: no bed
     * @param string               $recipe   how the beds are made ready
     * @param int                  $start    day number the beds are taken from
     * @param float                $weight   cents
     * @param array<string, float> $bent     cents by rule
     * @param list<Breach>         $breaches what bent and is worth telling
     */
    public function __construct(public array $pieces, public string $recipe, public int $start, public float $weight,
        public array $bent, public array $breaches, public ?RunnerUp $runnerUp)
    {
    }

    public static function none(string $recipe, int $start): self
    {
        return new self([], $recipe, $start, 0.0, [], [], null);
    }

    public function micrometres(): int
    {
        return array_sum(array_map(static fn (Stretch $piece): int => $piece->to - $piece->from, $this->pieces));
    }

    public function isBetterThan(self $other): bool
    {
        return $this->micrometres() > $other->micrometres() || ($this->micrometres() === $other->micrometres()
            && $this->weight < $other->weight);
    }

    public function bends(Rule $rule): bool
    {
        return [] !== array_filter($this->breaches, static fn (Breach $breach): bool => $breach->rule === $rule);
    }

    /** @return list<Message> each once */
    public function remarks(): array
    {
        return array_values(array_unique(array_map(static fn (Breach $breach): Message => $breach->message, $this->breaches),
            \SORT_REGULAR));
    }
}
