<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\CoverCalendar;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Growth\GrowthSums;

/**
 * When a crop is ready here: forward from a sowing, backward from a wanted day. Catalogue days are counted in days as
 * warm and light as the reference; emergence goes by the soil, the nursery by its own warmth and light. Catalogue days
 * from planting out include the usual check after it.
 */
final class Ripening
{
    /** Nothing takes longer from seed to harvest, but for perennials. Days. */
    private const LONGEST = 550;
    private const YEAR = 366;
    /** Share of its days in which a bulbing crop makes the leaf that feeds the bulb, and what it comes to without (own model). */
    private const LEAF = 0.25;
    private const SMALLEST = 0.4;
    /** The soil of a mild day in the sun is a little warmer than its air: the emergence that is in the catalogue's days. Degrees C. */
    private const SOIL_WARMER = 1.0;

    private readonly int $first;
    /** @var list<float> */
    private readonly array $development;
    /** @var list<float>|null worked out when first asked for */
    private ?array $emergence = null;
    /** @var array<string, array<int, int>> ready day by method and sowing day, as far as it was asked for */
    private array $readyOn = [];
    private readonly float $emergenceInCatalogue;
    private readonly ?Anchor $anchor;

    public function __construct(private readonly Crop $crop, private readonly LocalTiming $timing, private readonly CoverCalendar $cover)
    {
        $this->first = $timing->weather->first;
        $this->development = $timing->development($crop->growth, $cover);
        $this->emergenceInCatalogue = $crop->growth->emergence->daysAt($crop->growth->reference + self::SOIL_WARMER) ?? 0.0;
        $this->anchor = $crop->growth->anchored && null !== $crop->rhythm->harvest ? new Anchor($crop, $timing->weather) : null;
    }

    /** Null: it does not come up, or is not ready in the years the weather is known for. */
    public function forward(int $sow, Method $method): ?Ripeness
    {
        $catalogue = $this->crop->timing->daysFor($method);
        $ground = Method::Sown === $method ? $sow : $this->outOfTheNursery($sow);
        if (null === $catalogue || null === $ground) {
            return null;
        }

        return $this->fromGround($sow, $ground, $method);
    }

    /** Day the plants of a tray are fit to go out. */
    public function outOfTheNursery(int $sow): ?int
    {
        return GrowthSums::reached($this->timing->bench($this->crop->growth), $this->first, $sow, (float) $this->crop->timing->nurseryDays);
    }

    /** The same from the day it went, or goes, into the ground. */
    public function fromGround(int $sow, int $ground, Method $method): ?Ripeness
    {
        $catalogue = (float) ($this->crop->timing->daysFor($method) ?? $this->crop->timing->daysSown
            ?? $this->crop->timing->daysTransplanted ?? 0);
        $emerges = Method::Sown === $method ? $this->emerges($ground) : $sow + (int) ceil($this->crop->growth->emergence->daysAt(20.0)
            ?? 0.0);
        if (null === $emerges) {
            return null;
        }

        return $this->fromStage($sow, $ground, $emerges, Method::Sown === $method ? $emerges : $ground, Method::Sown === $method
            ? max(1.0, $catalogue - $this->emergenceInCatalogue) : $catalogue);
    }

    /** Day a sowing in the bed is up. */
    public function emerges(int $ground): ?int
    {
        return GrowthSums::reached($this->emergence ??= $this->timing->emergence($this->crop, $this->cover), $this->first, $ground, 1.0);
    }

    /** From a stage seen with one's own eyes: so many reference days are still to come from that day on. */
    public function fromStage(int $sow, int $ground, int $emerges, int $stage, float $toCome): ?Ripeness
    {
        $spread = $this->crop->pattern->isStock() ? intdiv($this->crop->timing->spread, 2) : 0;
        $bulbs = $this->bulbsFrom($stage);
        $ready = match (true) {
            null !== $this->anchor => $this->anchor->harvest($ground),
            null !== $bulbs => GrowthSums::reached($this->development, $this->first, $bulbs, (1 - self::LEAF) * $toCome + $spread),
            default => GrowthSums::reached($this->development, $this->first, $stage, $toCome + $spread),
        };
        if (null === $ready || ($this->crop->tender && $this->isFrozenBetween($stage, $ready))) {
            return null;
        }
        $hold = GrowthSums::reached($this->timing->ageing($this->crop->growth, $this->cover), $this->first, $ready,
            (float) $this->crop->timing->hold) ?? $ready;

        return new Ripeness($sow, $emerges, $ground, $ready, $hold, null === $bulbs ? 1.0 : $this->size($stage, $bulbs,
            self::LEAF * $toCome));
    }

    /** The day long days make it bulb, from the day it stands; null: it does not go by that, or they do not come. */
    private function bulbsFrom(int $stage): ?int
    {
        $hours = null !== $this->anchor ? null : $this->crop->growth->bulbHours;
        for ($day = $stage; null !== $hours && $day < $stage + self::YEAR; ++$day) {
            if ($this->timing->hoursOn($day) >= $hours) {
                return $day;
            }
        }

        return null;
    }

    /** Of the usual size, by the leaf it had when it began to bulb. */
    private function size(int $stage, int $bulbs, float $leaf): float
    {
        return min(1.0, self::SMALLEST + (1 - self::SMALLEST) * $this->counted($stage, $bulbs) / max(1.0, $leaf));
    }

    /** Tender crops do not live through the first frosts of autumn. */
    private function isFrozenBetween(int $from, int $until): bool
    {
        $cold = $this->timing->coldNights($this->cover);
        $at = fn (int $day): float => $cold[max(0, min(\count($cold) - 1, $day - $this->first))];

        return $at($until) - $at($from) > 0.0;
    }

    /** Reference days from the day it stands in the ground (sown: from emergence) to the first harvest. */
    public function toCome(Method $method): float
    {
        $catalogue = (float) ($this->crop->timing->daysFor($method) ?? 0);

        return Method::Sown === $method ? max(1.0, $catalogue - $this->emergenceInCatalogue) : $catalogue;
    }

    /** Catalogue days that warmth and light make of the days from one to another. */
    public function counted(int $from, int $until): float
    {
        $last = \count($this->development) - 1;
        $at = fn (int $day): float => $this->development[max(0, min($last, $day - $this->first))];

        return $at($until) - $at($from);
    }

    /**
     * The latest sowing that is ready on a wanted day or before; null: no sowing of a year and a half before it is.
     * It holds that ready(S) <= wanted < ready(S + 1). Day by day backward, for a sowing that frost ends may lie between
     * two that ripen.
     */
    public function latestFor(int $wanted, Method $method): ?Ripeness
    {
        for ($sow = $wanted; $sow >= max($this->first, $wanted - self::LONGEST); --$sow) {
            $ready = $this->readyOn[$method->value][$sow] ??= $this->forward($sow, $method)->ready ?? \PHP_INT_MAX;
            if ($ready <= $wanted) {
                return $this->forward($sow, $method);
            }
        }

        return null;
    }
}
