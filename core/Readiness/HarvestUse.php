<?php

declare(strict_types=1);

namespace JollyFurrow\Readiness;

/** As what a harvest is taken: one planting can give several goods. */
enum HarvestUse: string
{
    /** What the crop is promised as. */
    case Usual = 'usual';
    /** Pulled to make room, before it is grown. */
    case Thinnings = 'thinnings';
    case Baby = 'baby';
    /** The large pulled out of the row first: the rest grows on. */
    case LargeFirst = 'large-first';
    case Bunched = 'bunched';
    /** By weight, tops off; what is done when the tops are spoiled, too. */
    case Loose = 'loose';
    /** Before its skin is set. */
    case New = 'new';
    /** To be stored. */
    case Store = 'store';

    /**
     * Units of what a planting is expected to give that are gone with a unit taken so. Thinnings are taken out of no harvest;
     * what is pulled young would have weighed twice as much; where the large go first the rest fills three tenths of the gap
     * (own model on common practice, no source).
     */
    public function takes(): float
    {
        return match ($this) {
            self::Thinnings => 0.0,
            self::Baby => 2.0,
            self::LargeFirst => 0.7,
            default => 1.0,
        };
    }

    /** It is taken before the crop is ready, and keeps no promise of the grown crop. */
    public function isEarly(): bool
    {
        return self::Thinnings === $this || self::Baby === $this;
    }
}
