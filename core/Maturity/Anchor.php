<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Growth\GrowthSums;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\YearWindow;

/**
 * Harvest of a crop that follows the year and not the count of days: garlic, perennials, overwintered types. The book's
 * harvest window is the one of a reference place; here it comes when as much warmth has passed since midwinter as there
 * by then, or, for what stands in leaf all winter, as much growth; moved by a few days for each week of planting (own
 * model). Without a winter it never comes.
 */
final class Anchor
{
    /** Warmth above this counts, degrees C. */
    private const BASE = 5.0;
    /** Sum of it at the reference place (47 degrees north, July mean 19 degrees C) from midwinter to so many days after, degree days. */
    private const AT_REFERENCE = [[0, 0.0], [75, 0.0], [90, 4.5], [105, 34.7], [120, 92.6], [135, 183.9], [150, 310.7], [165, 464.4],
        [180, 639.8], [195, 833.4], [210, 1042.0], [225, 1255.9], [240, 1467.6], [255, 1659.2], [270, 1817.2], [285, 1941.2],
        [300, 2031.0], [315, 2082.7], [330, 2094.3]];
    /** Growth there from so many days before midwinter until then, in days of the reference: what size a plant goes into winter with. */
    private const GROWN_AT_REFERENCE = [[0, 0.0], [15, 0.7], [30, 2.0], [45, 4.9], [60, 11.0], [75, 20.5], [90, 32.3], [105, 45.7],
        [120, 60.3], [135, 75.2], [150, 90.2], [165, 105.1], [180, 119.9], [195, 134.5]];
    /** Growth there from midwinter to so many days after, in days of the reference. */
    private const GROWS_AT_REFERENCE = [[0, 0.0], [15, 0.5], [30, 1.1], [45, 2.0], [60, 3.4], [75, 6.1], [90, 10.7], [105, 17.0],
        [120, 25.2], [135, 35.5], [150, 47.9], [165, 61.5], [180, 75.9], [195, 90.7], [210, 105.6], [225, 120.6]];
    /** As much more or less than the book's window gives there still does. */
    private const SIZE_GIVES_WAY = 0.2;
    /** Days of the year on which the reference place has its shortest day. */
    private const MIDWINTER = 355;
    private const YEAR = 365;
    private const MOST_WEEKS = 10.0;
    /** Cloves are planted from about the day that is as long as the night, hours. */
    private const SHORT_DAY = 12.3;
    /** @var list<float>|null degree days, or days of growth, summed up */
    private ?array $warmth = null;

    public function __construct(private readonly Crop $crop, private readonly LocalTiming $timing, private readonly CoverCalendar $cover)
    {
    }

    public function harvest(int $ground): ?int
    {
        $window = $this->crop->rhythm->harvest;
        if (null === $window) {
            return null;
        }
        $reached = GrowthSums::reached($this->warmth(), $this->timing->weather->first, $this->midwinter($ground),
            $this->wanted($window->from->dayOfYear()));

        return null === $reached ? null : $reached + (int) round($this->crop->growth->slope * $this->weeksLater($ground));
    }

    /** The day its harvest window ends here. */
    public function ends(int $ground): ?int
    {
        $window = $this->crop->rhythm->harvest;

        return null === $window ? null : GrowthSums::reached($this->warmth(), $this->timing->weather->first, $this->midwinter($ground),
            $this->wanted($window->to->dayOfYear()));
    }

    /** What of the day it is planted, and of the winter to come, stands against it. */
    public function against(int $ground): ?Message
    {
        $sun = $this->timing->sun;
        if (Stock::Clove === $this->crop->habits->stock && ($sun->hoursOn($ground) >= self::SHORT_DAY || $sun->isRising($ground)
            || $sun->isEven())) {
            return Message::of(Against::NotShortening);
        }
        $chill = $this->chillBy($ground);
        if ($chill < $this->crop->limits->chillNeed) {
            return Message::of(Against::NoChill, days: (int) round($chill), need: (int) round($this->crop->limits->chillNeed));
        }

        return $this->isOfSize($ground) ? null : Message::of(Against::NotTheSize);
    }

    /** Chill days by half the warmth it takes. */
    private function chillBy(int $ground): float
    {
        $window = $this->crop->rhythm->harvest;
        $first = $this->timing->weather->first;
        $half = null === $window ? null : GrowthSums::reached($this->warmth(), $first, $this->midwinter($ground),
            $this->wanted($window->from->dayOfYear()) / 2);
        $chill = $this->timing->chill($this->cover, true);

        return null === $half ? 0.0 : ($chill[$half - $first] ?? 0.0) - ($chill[$ground - $first] ?? 0.0);
    }

    /** A plant that overwinters goes into it neither too small nor too big. */
    private function isOfSize(int $ground): bool
    {
        $window = $this->bookWindow();
        if (null === $window || !$this->isInLeaf()) {
            return true;
        }
        $first = $this->timing->weather->first;
        $midwinter = $this->timing->sun->midwinterFrom($ground);
        $development = $this->timing->development($this->crop->growth, $this->cover);
        $grown = ($development[$midwinter - $first] ?? 0.0) - ($development[$ground - $first] ?? 0.0);
        $most = self::read(self::GROWN_AT_REFERENCE, self::MIDWINTER - $window->from->dayOfYear());
        $least = self::read(self::GROWN_AT_REFERENCE, self::MIDWINTER - $window->to->dayOfYear());

        return $grown >= (1 - self::SIZE_GIVES_WAY) * $least && $grown <= (1 + self::SIZE_GIVES_WAY) * $most;
    }

    /** Weeks it is planted later than the book's window begins at the reference place, beside midwinter. */
    private function weeksLater(int $ground): float
    {
        $window = $this->bookWindow();
        if (null === $window || $this->crop->rhythm->yearsToFirst > 0) {
            return 0.0;
        }
        $before = $this->timing->sun->midwinterFrom($ground) - $ground;
        $atReference = (self::MIDWINTER - $window->from->dayOfYear() + self::YEAR) % self::YEAR;

        return min(self::MOST_WEEKS, max(-self::MOST_WEEKS, ($atReference - $before) / 7));
    }

    private function bookWindow(): ?YearWindow
    {
        return array_values($this->crop->sowing)[0] ?? null;
    }

    /** Midwinter before the first harvest: the next one after planting, or later for what takes years. */
    private function midwinter(int $ground): int
    {
        return $this->timing->sun->midwinterFrom($ground) + self::YEAR * (max(1, $this->crop->rhythm->yearsToFirst) - 1);
    }

    /** Seed-grown, it stands in leaf: light counts beside warmth. */
    private function isInLeaf(): bool
    {
        return $this->crop->habits->stock->isSeed() && 0 === $this->crop->rhythm->yearsToFirst;
    }

    /** Degree days, or days of growth, from midwinter to a day of the year at the reference place. */
    private function wanted(int $dayOfYear): float
    {
        return self::read($this->isInLeaf() ? self::GROWS_AT_REFERENCE : self::AT_REFERENCE,
            ($dayOfYear - self::MIDWINTER + self::YEAR) % self::YEAR);
    }

    /** @return list<float> */
    private function warmth(): array
    {
        if ($this->isInLeaf()) {
            return $this->warmth ??= $this->timing->development($this->crop->growth, $this->cover);
        }
        if (null === $this->warmth) {
            $this->warmth = [0.0];
            $sum = 0.0;
            for ($day = $this->timing->weather->first; null !== $air = $this->timing->airOn($day, $this->cover); ++$day) {
                $this->warmth[] = $sum += max(0.0, $air - self::BASE);
            }
        }

        return $this->warmth;
    }

    /** @param non-empty-list<array{int, float}> $table */
    private static function read(array $table, int $at): float
    {
        $before = $table[0];
        foreach ($table as $point) {
            if ($at <= $point[0]) {
                return $at <= $before[0] ? $before[1]
                    : $before[1] + ($at - $before[0]) / ($point[0] - $before[0]) * ($point[1] - $before[1]);
            }
            $before = $point;
        }

        return $before[1];
    }
}
