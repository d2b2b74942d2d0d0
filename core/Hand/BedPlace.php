<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;

/** A bed a planting might be moved to: as it would be there, or why not. */
final readonly class BedPlace
{
    /**
     * @param Planting|null  $planting  null: there is no room for it
     * @param list<Conflict> $conflicts hard ones first
     */
    public function __construct(public string $bed, public ?Planting $planting, public array $conflicts, public ?Message $noRoom = null)
    {
    }

    public function isPossible(): bool
    {
        return null !== $this->planting && (!isset($this->conflicts[0]) || !$this->conflicts[0]->isHard());
    }

    /** It may stand there, against a rule. */
    public function bends(): bool
    {
        return $this->isPossible() && [] !== $this->conflicts;
    }

    /** The first reason against it. */
    public function why(): ?Message
    {
        return $this->noRoom ?? $this->conflicts[0]->message ?? null;
    }
}
