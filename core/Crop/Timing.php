<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** Days of a crop, catalogue values. */
final readonly class Timing
{
    /**
     * @param int|null $daysSown         from sowing in the bed to the first fit plants; null: not sown in the bed
     * @param int|null $daysTransplanted from planting out; null: not transplanted
     * @param int      $spread           days between the first and the last plant fit to cut
     * @param int      $hold             days the crop stands fit after that
     */
    public function __construct(
        public int $nurseryDays,
        public ?int $daysSown,
        public ?int $daysTransplanted,
        public int $spread,
        public int $hold,
    ) {
    }

    public function daysFor(Method $method): ?int
    {
        return Method::Sown === $method ? $this->daysSown : $this->daysTransplanted;
    }

    /** The method itself, or the other one where the book does not know it for this crop. */
    public function nearest(Method $method): Method
    {
        $other = Method::Sown === $method ? Method::Transplanted : Method::Sown;

        return null === $this->daysFor($method) && null !== $this->daysFor($other) ? $other : $method;
    }

    /** Of the method, or of the nearest the book knows: what stands stands, however it came there. */
    public function daysNearest(Method $method): int
    {
        return $this->daysFor($this->nearest($method)) ?? 0;
    }
}
