<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** A planting that was to be sown before the day of the plan and is still only planned: it gives as if sown on that day. */
final class LateSowing
{
    private readonly OwnSums $own;
    private readonly int $today;
    private readonly bool $isTimed;

    public function __construct(Sheet $garden)
    {
        $this->own = new OwnSums($garden);
        $this->today = $garden->day('today') ?? 0;
        $this->isTimed = 'heat-and-light' === $garden->part('climate')->text('timed_by');
    }

    /** The planting with the dates it can still have; as it is where it is not late. */
    public function dated(Sheet $planting, Crop $crop): Sheet
    {
        $late = $this->today - ($planting->day('sow') ?? $this->today);
        $place = PlaceType::tryFrom($planting->text('place'));
        if ('planned' !== $planting->text('standing') || $late <= 0 || !$place instanceof PlaceType) {
            return $planting;
        }
        $ready = $planting->day('ready') ?? 0;
        $sown = 'sown' === $planting->text('method');
        $ground = $this->today + ($sown ? 0 : ($planting->day('ground') ?? 0) - ($planting->day('sow') ?? 0));
        $then = $this->isTimed ? $this->own->ready($crop, $sown, $place, $ground) ?? $ready + $late : $ready + $late;
        $clear = $then + ($planting->day('clear') ?? 0) - $ready;

        return $planting->with(['ready' => Day::of($then)->iso(), 'clear' => Day::of($clear)->iso()]);
    }
}
