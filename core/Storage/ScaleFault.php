<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** Why a scale gave no weight. */
enum ScaleFault: string
{
    case Unsteady = 'unsteady';
    case NoUnit = 'no-unit';
    case OtherUnit = 'other-unit';
    case BelowTare = 'below-tare';
}
