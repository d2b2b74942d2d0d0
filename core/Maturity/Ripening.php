<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;

/**
 * When a crop is ready here: forward from a sowing, backward from a wanted day. Catalogue days are counted in days as
 * warm and light as the reference; emergence goes by the soil, the nursery by its own warmth and light. Catalogue days
 * from planting out include the usual check after it.
 */
final readonly class Ripening
{
    private const YEAR = 365;
    /** The soil of a mild day in the sun is a little warmer than its air: the emergence that is in the catalogue's days. Degrees C. */
    private const SOIL_WARMER = 1.0;

    private GrowthSums $sums;
    private GrowthSums $bench;
    private float $emergenceInCatalogue;
    private ?Anchor $anchor;

    public function __construct(private Crop $crop, LocalTiming $timing, Cover $cover)
    {
        $this->sums = $timing->sums($crop, $cover);
        $this->bench = $crop->timing->nurseryDays > 0 ? $timing->bench($crop) : $this->sums;
        $this->emergenceInCatalogue = $crop->growth->emergence->daysAt($crop->growth->reference + self::SOIL_WARMER) ?? 0.0;
        $this->anchor = $crop->growth->anchored && null !== $crop->rhythm->harvest ? new Anchor($crop, $timing->weather) : null;
    }

    /** Null: it does not come up, or is not ready in the years the weather is known for. */
    public function forward(int $sow, Method $method): ?Ripeness
    {
        $catalogue = $this->crop->timing->daysFor($method);
        $ground = Method::Sown === $method ? $sow : GrowthSums::reached($this->bench->development, $this->bench->first, $sow, (float) $this->crop->timing->nurseryDays);
        if (null === $catalogue || null === $ground) {
            return null;
        }

        return $this->fromGround($sow, $ground, $method);
    }

    /** The same from the day it went, or goes, into the ground. */
    public function fromGround(int $sow, int $ground, Method $method): ?Ripeness
    {
        $catalogue = (float) ($this->crop->timing->daysFor($method) ?? $this->crop->timing->daysSown ?? $this->crop->timing->daysTransplanted ?? 0);
        $emerges = Method::Sown === $method ? GrowthSums::reached($this->sums->emergence, $this->sums->first, $ground, 1.0) : $sow + (int) ceil($this->crop->growth->emergence->daysAt(20.0) ?? 0.0);
        if (null === $emerges) {
            return null;
        }

        return $this->fromStage($sow, $ground, $emerges, Method::Sown === $method ? $emerges : $ground, Method::Sown === $method ? max(1.0, $catalogue - $this->emergenceInCatalogue) : $catalogue);
    }

    /** From a stage seen with one's own eyes: so many reference days are still to come from that day on. */
    public function fromStage(int $sow, int $ground, int $emerges, int $stage, float $toCome): ?Ripeness
    {
        $spread = $this->crop->pattern->isStock() ? intdiv($this->crop->timing->spread, 2) : 0;
        $ready = null === $this->anchor ? GrowthSums::reached($this->sums->development, $this->sums->first, $stage, $toCome + $spread) : $this->anchor->harvest($ground);
        if (null === $ready) {
            return null;
        }
        $hold = GrowthSums::reached($this->sums->ageing, $this->sums->first, $ready, (float) $this->crop->timing->hold) ?? $ready;

        return new Ripeness($sow, $emerges, $ground, $ready, $hold);
    }

    /** Reference days from the day it stands in the ground (sown: from emergence) to the first harvest. */
    public function toCome(Method $method): float
    {
        $catalogue = (float) ($this->crop->timing->daysFor($method) ?? 0);

        return Method::Sown === $method ? max(1.0, $catalogue - $this->emergenceInCatalogue) : $catalogue;
    }

    /** Day after a first harvest on which so many reference days have passed: the regrowth of a cut. */
    public function regrown(int $from, float $days): ?int
    {
        return GrowthSums::reached($this->sums->development, $this->sums->first, $from, $days);
    }

    /** Development from a day to another as a share of what a crop needs: the height of its ridge. */
    public function share(int $from, int $until, float $needed): float
    {
        $at = fn (int $day): float => $this->sums->development[max(0, min(\count($this->sums->development) - 1, $day - $this->sums->first))];

        return $needed <= 0.0 ? 1.0 : min(1.0, max(0.0, ($at($until) - $at($from)) / $needed));
    }

    /**
     * The latest sowing that is ready on a wanted day or before; null: no sowing of the year before it is.
     * It holds that ready(S) <= wanted < ready(S + 1).
     */
    public function latestFor(int $wanted, Method $method): ?Ripeness
    {
        $low = max($this->sums->first, $wanted - 2 * self::YEAR);
        $high = $wanted;
        $found = null;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $ripe = $this->forward($middle, $method);
            if (null !== $ripe && $ripe->ready <= $wanted) {
                $found = $ripe;
                $low = $middle + 1;
            } else {
                $high = $middle - 1;
            }
        }

        return $found;
    }
}
