<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** What makes a crop run to seed, or set badly, before it is harvested. */
final readonly class Bolting
{
    /**
     * @param int|null   $coldDays days with a mean below seven degrees C that turn the plant towards flowering
     * @param float|null $dayHours a day so long at harvest time does, hours
     * @param float|null $heat     so warm a week does, mean of the day in degrees C
     */
    public function __construct(public ?int $coldDays, public ?float $dayHours, public ?float $heat)
    {
    }

    public function isLikely(): bool
    {
        return null !== $this->coldDays || null !== $this->dayHours || null !== $this->heat;
    }
}
