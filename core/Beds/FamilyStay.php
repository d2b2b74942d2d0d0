<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

/** A family on a bed in one year. */
final readonly class FamilyStay
{
    /**
     * @param list<string> $crops     names, in the order they came
     * @param float        $metres    of bed, shares of its width reckoned in
     * @param bool         $isPlanned all of it is still to come
     * @param bool         $isTooSoon some of it bends the rule of the rotation
     */
    private function __construct(public string $family, public array $crops, public float $metres, public bool $isPlanned,
        public bool $isTooSoon)
    {
    }

    public static function more(?self $there, string $family, string $crop, float $metres, bool $isPlanned, bool $isTooSoon): self
    {
        return new self($family, array_values(array_unique([...$there->crops ?? [], $crop])), ($there->metres ?? 0.0) + $metres,
            $isPlanned && ($there->isPlanned ?? true), $isTooSoon || ($there->isTooSoon ?? false));
    }
}
