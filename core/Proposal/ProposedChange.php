<?php

declare(strict_types=1);

namespace JollyFurrow\Proposal;

use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;

/** One planting of a proposal: as it is, as it would be, and why. */
final readonly class ProposedChange
{
    /**
     * @param string        $id  its name within the proposal
     * @param Planting|null $old null: new
     * @param Planting|null $new null: dropped
     */
    public function __construct(public string $id, public ?Planting $old, public ?Planting $new, public string $why)
    {
    }

    public function kind(): ChangeKind
    {
        return match (true) {
            null === $this->old => ChangeKind::Fresh,
            null === $this->new => ChangeKind::Dropped,
            $this->old == $this->new => ChangeKind::Kept,
            default => ChangeKind::Moved,
        };
    }

    /** The planting one speaks of: as it would be, else as it is. */
    public function planting(): Planting
    {
        return $this->new ?? $this->old ?? throw new \LogicException('A proposed change is of a planting.');
    }

    /** Its new planting would stand where the other's old one is. */
    public function needs(self $other): bool
    {
        if (null === $this->new || null === $other->old || $this->id === $other->id
            || !$this->new->occupancy()->overlaps($other->old->occupancy())) {
            return false;
        }
        foreach ($this->new->pieces as $piece) {
            if ([] !== array_filter($other->old->pieces, static fn (Stretch $s): bool => $s->sharesGroundWith($piece))) {
                return true;
            }
        }

        return false;
    }
}
