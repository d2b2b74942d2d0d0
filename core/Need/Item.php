<?php

declare(strict_types=1);

namespace JollyFurrow\Need;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Keeping;

/** What the planner has to know of a crop beside its candidates. Cents. */
final readonly class Item
{
    /** A need may not cost less than this a unit, or nothing would be sown for it. Cents. */
    private const LEAST_PENALTY = 1.0;

    /**
     * @param bool  $isStock harvested from a stock that stands; else cut or picked on its days
     * @param float $penalty for one unit short
     * @param float $keeping a unit and day after it is ready
     */
    public function __construct(public string $key, public bool $isStock, public bool $isStored, public float $weeklyLoss,
        public float $penalty, public float $keeping)
    {
    }

    /** @param array<string, float> $values cents a unit of the item fetches */
    public static function of(Garden $garden, Crop $crop, array $values): self
    {
        $settings = $garden->settings;
        $value = $values[$crop->item()] ?? 0.0;
        $isKept = Keeping::Store === ($settings->rules->keeping[$crop->item()] ?? Keeping::AsItPays);

        return new self($crop->item(), $crop->pattern->isStock(), $crop->produce->stored, $crop->produce->weeklyLoss,
            self::penaltyFor($settings->shortageFactor, $value), $isKept ? 0.0 : $settings->keepingShare * $value);
    }

    /** @param float $value cents a unit fetches */
    public static function penaltyFor(float $shortageFactor, float $value): float
    {
        return max(self::LEAST_PENALTY, $shortageFactor * $value);
    }
}
