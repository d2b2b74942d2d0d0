<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** What is put into the ground or the tray. */
enum Stock: string
{
    case Seed = 'seed';
    case SeedBall = 'seed-ball';
    case Piece = 'piece';
    case Set = 'set';
    case Clove = 'clove';
    case Crown = 'crown';
    case Slip = 'slip';
    case Runner = 'runner';

    /** It comes up out of a seed; tubers, slips, crowns, sets and cloves do not go by a table of seeds. */
    public function isSeed(): bool
    {
        return self::Seed === $this || self::SeedBall === $this;
    }
}
