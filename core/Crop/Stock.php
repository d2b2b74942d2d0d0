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
}
