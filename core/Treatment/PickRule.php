<?php

declare(strict_types=1);

namespace JollyFurrow\Treatment;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Message\Message;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\ManureWait;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Time\Day;

/** Whether a bed may be harvested on a day: waiting times of treatments as typed from their labels, and of raw manure. */
final readonly class PickRule
{
    public function __construct(private SprayBook $sprays, private SoilBook $soil)
    {
    }

    /** Null: nothing is against it. */
    public function against(string $bed, Crop $crop, Day $day): ?Message
    {
        $spray = $this->sprays->keepsOff($bed, $day);
        if (null !== $spray) {
            return Message::of(PickRefused::Sprayed, bed: $bed, product: $spray->product, day: $spray->day, until: $spray->harvestFrom());
        }
        foreach ($this->soil->spreads as $spread) {
            $until = Heat::Raw === $spread->heat && $spread->bed === $bed && !$day->isBefore($spread->day)
                ? ManureWait::until($spread, $crop)
                ?? $spread->day->plus(ManureWait::TOUCHING) : null;
            if (null !== $until && $day->isBefore($until)) {
                return Message::of(PickRefused::Manured, bed: $bed, product: $spread->product, until: $until);
            }
        }

        return null;
    }

    /** @throws MayNotBePicked */
    public function mustNotBeAgainst(string $bed, Crop $crop, Day $day): void
    {
        $against = $this->against($bed, $crop, $day);
        if (null !== $against) {
            throw new MayNotBePicked($against);
        }
    }
}
