<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Time\Day;

/** What every sowing day of a year, from a first day on, comes to at one place type: when ready, until when it holds, and what stands against it. */
final readonly class TimingCurve
{
    /** Longer than this from sowing to emergence is a risk to the seed, days (common practice, no source). */
    private const SLOW_EMERGENCE = 25;
    private const YEAR = 365;

    /** @param list<array{sow: int, ready: int|null, last: int|null, why: string}> $days */
    private function __construct(public PlaceType $place, public array $days)
    {
    }

    /** Null where the crop is not grown, or the climate is not known. */
    public static function of(Garden $garden, Crop $crop, Method $method, PlaceType $place, Day $first): ?self
    {
        $season = $garden->season($crop, $place);
        if (null === $garden->climate || null === $season) {
            return null;
        }
        $cover = Cover::usualOf($place);
        $ripening = $garden->climate->timing($garden->place->latitude, $garden->today)->of($crop, $cover);
        $days = [];
        for ($day = $first; $day->since($first) < self::YEAR; $day = $day->plus(1)) {
            $ripe = $ripening->forward($day->number, $method);
            $days[] = ['sow' => $day->number, 'ready' => $ripe?->ready, 'last' => $ripe?->lastGood, 'why' => match (true) {
                null === $ripe => $crop->tender ? 'frost ends it before it is ready' : 'it is not ready in time',
                !$season->contains(Day::of($ripe->ground)) => 'out of its season here',
                Method::Sown === $method && $ripe->emerges - $ripe->sow > self::SLOW_EMERGENCE => 'the soil is too cold: the seed may rot',
                [] !== ($frost = FrostWarning::of($garden, $crop, $cover, $ripe)) => $frost[0],
                default => '',
            }];
        }

        return new self($place, $days);
    }
}
