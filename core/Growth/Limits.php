<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/** What of soil, frost, heat and season a crop bears, and what is usual with it. */
final readonly class Limits
{
    /**
     * @param float         $soilLeast mean of the soil at seed depth below which it is not sown or set out, degrees C
     * @param float         $soilMost  and above which
     * @param Chill|null    $chill     null: winters do not make it run to seed
     * @param float         $chillNeed chill days without which an anchored crop never comes
     * @param LongDays|null $longDays  null: long days do not make it run to seed
     * @param float|null    $cool      its harvest ends when two weeks are colder in the mean, degrees C
     * @param float         $slow      usual where it is ready within so many times its catalogue days
     * @param float         $pick      usual where its pickings come to this share of the best sowing's; 0: whatever
     * @param float         $firstFit  share of its days after which the first of it can be taken
     * @param int|null      $longest   days from planting within which it must be ready
     */
    public function __construct(
        public float $soilLeast,
        public float $soilMost,
        public Cold $cold,
        public ?Heat $heat = null,
        public ?Chill $chill = null,
        public float $chillNeed = 0.0,
        public ?LongDays $longDays = null,
        public ?Germination $germination = null,
        public ?float $cool = null,
        public float $slow = 2.0,
        public float $pick = 0.0,
        public float $firstFit = 1.0,
        public ?int $longest = null,
        public bool $mildews = false,
    ) {
    }
}
