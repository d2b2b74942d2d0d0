<?php

declare(strict_types=1);

namespace JollyFurrow\Lime;

/** What the soil of a bed asks for. */
enum SoilSignKind: string
{
    /** Phosphorus very high: what carries more of it only builds it up. */
    case MuchPhosphorus = 'much-phosphorus';
    case Salty = 'salty';
    case Acid = 'acid';
    case Alkaline = 'alkaline';
    case OldTest = 'old-test';
    case HardPan = 'hard-pan';
}
