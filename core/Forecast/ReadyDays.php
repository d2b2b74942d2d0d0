<?php

declare(strict_types=1);

namespace JollyFurrow\Forecast;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\SoftEdge;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;

/** When a planting is ready: early in one year of ten, as a rule, late in one of ten; and how far it is today. */
final readonly class ReadyDays
{
    /**
     * @param int   $early  day number
     * @param int   $likely day number
     * @param int   $late   day number
     * @param float $grown  share of its development that is done today, 0 to 1
     */
    private function __construct(public int $early, public int $likely, public int $late, public float $grown)
    {
    }

    public static function of(Garden $garden, Planting $planting, Crop $crop): self
    {
        $timing = $garden->timing();
        $ready = $planting->ready->number;
        $covers = $garden->coversOf($planting);
        $edge = null === $timing ? null : SoftEdge::of($timing, $crop, $covers, $planting->ground->number, $ready,
            $garden->today->number);

        return new self($edge[0] ?? $ready, $ready, $edge[1] ?? $ready, self::grown($garden, $planting, $crop));
    }

    /** Days between now and then; by heat and light where they are known. */
    private static function grown(Garden $garden, Planting $planting, Crop $crop): float
    {
        $today = $garden->today->number;
        $ground = $planting->ground->number;
        if ($planting->ready->number <= $today) {
            return 1.0;
        }
        if ($today <= $ground || !\in_array($planting->standing, [Standing::Growing, Standing::Planned], true)) {
            return 0.0;
        }
        $ripening = Pattern::Perennial === $crop->pattern ? null : $garden->timing()?->of($crop, $garden->coversOf($planting));
        $whole = $ripening?->counted($ground, $planting->ready->number) ?? 0.0;

        return null !== $ripening && $whole > 0.0 ? $ripening->counted($ground, $today) / $whole
            : ($today - $ground) / ($planting->ready->number - $ground);
    }

    /** It may be ready by now, or not yet: somebody has to look. */
    public function isOpen(int $today): bool
    {
        return $this->early <= $today && $today < $this->late && $this->early < $this->late;
    }
}
