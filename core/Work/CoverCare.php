<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\Protection;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Working;

/**
 * When a cover is opened: for weeding every ten to twelve days (common practice, no source), and off for good in time
 * for the bees where the crop needs them.
 */
final readonly class CoverCare
{
    /** The middle of ten to twelve days. */
    private const WEEDING_DAYS = 11;

    /** @param list<Day> $weedings */
    private function __construct(public Protection $protection, public Cover $cover, public array $weedings, public ?Day $flowering)
    {
    }

    /** Null when the cover is never over the crop while that stands. */
    public static function of(Garden $garden, Planting $planting, Crop $crop, Protection $protection): ?self
    {
        $stands = $protection->days->start->number <= $planting->clear->number && $planting->ground->number <= $protection->days->last()->number;
        if (!$stands) {
            return null;
        }
        $from = $protection->days->start->isBefore($planting->ground) ? $planting->ground : $protection->days->start;
        $until = $planting->clear->isBefore($protection->days->last()) ? $planting->clear : $protection->days->last();
        $flowering = null === $crop->habits->flowerDays ? null : $planting->ready->plus(-$crop->habits->flowerDays);
        $isShut = null !== $flowering && !$flowering->isBefore($from) && !$until->isBefore($flowering);
        $weedings = [];
        for ($day = $from->plus(self::WEEDING_DAYS); $day->isBefore($isShut ? $flowering : $until); $day = $day->plus(self::WEEDING_DAYS)) {
            $weedings[] = $day;
        }

        return new self($protection, Cover::usualOf($planting->place)->under($protection->cover), $weedings, null !== $flowering && $flowering->isBefore($until->plus(1)) ? ($isShut ? $flowering : $from) : null);
    }

    /** What it does to a day, beside what the place does. */
    public static function working(Cover $cover): Working
    {
        $model = Source::model('from common practice: a floating cover is worth one to two degrees at night, a tunnel with a cover a good deal more; docs/timing.md');

        return Working::of('Warmer at night', $cover->atNight(), '°C', 'degrees added to the night\'s lowest', 'night', [
            Input::of('night', 'added to the lowest of the night', $cover->atNight(), '°C', $model),
            Input::of('day', 'added to the highest of the day (aired above '.$cover->airedAbove().' °C)', $cover->byDay(), '°C', $model),
            Input::of('light', 'share of the light that comes through', $cover->light(), '', $model),
            Input::of('rain', 'share of the rain that comes through', $cover->rain(), '', $model),
        ], $model);
    }
}
