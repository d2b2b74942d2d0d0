<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\Against;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/**
 * What the place says to a crop that is to go into the ground on a day: the one answer to "is it its season here". It
 * follows from soil, frost, heat and light of the place, never from a calendar.
 */
final readonly class Here
{
    private LocalTiming $timing;

    public function __construct(Garden $garden)
    {
        $this->timing = $garden->local();
    }

    /**
     * Why it cannot be counted on; null: it can.
     *
     * @param CoverCalendar|null $covers null: nothing but what its place type has
     */
    public function never(Crop $crop, Method $method, PlaceType $place, Day $sow, Day $ground, ?CoverCalendar $covers = null): ?Message
    {
        if (!\in_array($place, $crop->places(), true)) {
            return Message::of(Against::NoPlaceForIt, place: $place);
        }
        if (null === $crop->timing->daysFor($method)) {
            return Message::of(Against::NotDoneSo, method: $method);
        }
        $ripe = $this->ripe($crop, $method, $place, $sow, $ground, $covers);

        return match (true) {
            null !== $ripe => $ripe->never,
            Pattern::GreenManure === $crop->pattern => $this->ripening($crop, $place, $covers)->inTheSoil($ground->number, $method),
            default => $this->ripening($crop, $place, $covers)->notReady($ground->number, $method),
        };
    }

    /** Why it can, but nobody here would plan it so; null: it is usual, or cannot be at all. */
    public function unusual(Crop $crop, Method $method, PlaceType $place, Day $sow, Day $ground, ?CoverCalendar $covers = null): ?Message
    {
        $ripe = Pattern::GreenManure === $crop->pattern ? null : $this->ripe($crop, $method, $place, $sow, $ground, $covers);

        return null === $ripe ? null : $this->ripening($crop, $place, $covers)->unusual($ripe, $method);
    }

    /** Either. */
    public function against(Crop $crop, Method $method, PlaceType $place, Day $sow, Day $ground, ?CoverCalendar $covers = null): ?Message
    {
        return $this->never($crop, $method, $place, $sow, $ground, $covers)
            ?? $this->unusual($crop, $method, $place, $sow, $ground, $covers);
    }

    /** What would become of it; null: nothing. */
    public function ripe(Crop $crop, Method $method, PlaceType $place, Day $sow, Day $ground, ?CoverCalendar $covers = null): ?Ripeness
    {
        return $this->ripening($crop, $place, $covers)->fromGround($sow->number, $ground->number, $method);
    }

    private function ripening(Crop $crop, PlaceType $place, ?CoverCalendar $covers): Ripening
    {
        return $this->timing->of($crop, $covers ?? Cover::usualOf($place));
    }
}
