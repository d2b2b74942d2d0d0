<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

enum ShortageReason: string
{
    case NoSowing = 'no-sowing';
    case NoPlace = 'no-place';
    case NoBed = 'no-bed';
    case TooDear = 'too-dear';
    case NotPlanned = 'not-planned';
    case Perennial = 'perennial';

    public function words(): string
    {
        return match ($this) {
            self::NoSowing => 'no sowing from now on can be ready for this market day',
            self::NoPlace => 'the garden has no place this crop can stand in',
            self::NoBed => 'no bed is free for it in those weeks',
            self::TooDear => 'another sowing would cost more than the promise is worth',
            self::NotPlanned => 'nothing is sown for it in the plan as it stands',
            self::Perennial => 'a perennial planted now gives nothing this season',
        };
    }

    /** Nothing that is sown from now on can mend it. */
    public function isLate(): bool
    {
        return self::NoSowing === $this || self::Perennial === $this;
    }

    /** What a grower can do about it. */
    public function mend(): string
    {
        return match ($this) {
            self::NoSowing => 'Promise it for a later week, or allow more sowing days in the settings.',
            self::NoPlace => 'Add a bed of a place type the crop takes, or take the promise back.',
            self::NoBed => 'Free or add a bed in those weeks, or promise less of what fills them.',
            self::TooDear => 'Raise the price, lower the rent of a bed, or leave the market day without it.',
            self::NotPlanned => 'Draw up the plan.',
            self::Perennial => 'Promise what the standing plants give, and plant more for the years to come.',
        };
    }
}
