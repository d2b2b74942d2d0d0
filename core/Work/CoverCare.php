<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Label;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/**
 * When a cover is opened: for weeding every ten to twelve days (common practice, no source), and off for good in time
 * for the bees where the crop needs them.
 */
final readonly class CoverCare
{
    /** The middle of ten to twelve days. */
    /** Light of a bright day, MJ m-2. */
    private const BRIGHT_DAY = 20.0;
    private const WEEDING_DAYS = 11;

    /** @param list<Day> $weedings */
    private function __construct(public Protection $protection, public Cover $cover, public array $weedings, public ?Day $flowering)
    {
    }

    /** Null when the cover is never over the crop while that stands. */
    public static function of(Garden $garden, Planting $planting, Crop $crop, Protection $protection): ?self
    {
        $stands = $protection->days->start->number <= $planting->clear->number
            && $planting->ground->number <= $protection->days->last()->number;
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

        return new self($protection, Cover::usualOf($planting->place)->under($protection->cover), $weedings, null !== $flowering
            && $flowering->isBefore($until->plus(1)) ? ($isShut ? $flowering : $from) : null);
    }

    /** What it does to a day, beside what the place does. */
    public static function working(Cover $cover): Working
    {
        $model = Source::model(From::CoverWarmth);

        return Working::of(Sum::WarmerAtNight, $cover->atNight(), Unit::Kelvin, 'night', [
            Input::of('night', $cover->atNight(), Unit::Kelvin, $model),
            Input::of('day', $cover->byDay(self::BRIGHT_DAY), Unit::Kelvin, $model, Message::of(Label::WarmerByDay,
                above: Quantity::of($cover->aired(0.0), Unit::Celsius))),
            Input::of('light', $cover->light(), Unit::Share, $model),
            Input::of('rain', $cover->rain(), Unit::Share, $model),
        ], $model);
    }
}
