<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** How this garden feeds its soil. Defaults are our own starting values. */
final readonly class FeedRules
{
    /**
     * @param Nutrients|null $over         kilograms a hectare that may be given over the need
     * @param Nutrients|null $standingDose kilograms a hectare
     * @param float          $short        share of a need a block's one mix may leave a bed short
     * @param int            $mixCents     what a mix costs to weigh and carry
     * @param SoilLevel      $untested     what open ground is taken as where no test says
     * @param SoilLevel      $tunnels      the same of tunnels, which keep what they are given
     * @param float          $organic      percent of organic matter where no test says
     * @param float|null     $sourceLitres litres an hour the well, tank or main gives; null: not said
     * @param float          $sourceHours  a day in which it can be drawn on
     */
    public function __construct(
        public FeedSchool $school = FeedSchool::ByTest,
        public RateBasis $basis = RateBasis::Beds,
        public CompostWay $compost = CompostWay::OnceAYear,
        public ?Nutrients $over = null,
        public ?Nutrients $standingDose = null,
        public float $short = 0.1,
        public int $mixCents = 300,
        public SoilLevel $untested = SoilLevel::Middling,
        public SoilLevel $tunnels = SoilLevel::High,
        public float $organic = 3.0,
        public Texture $texture = Texture::Loam,
        public ?float $sourceLitres = null,
        public float $sourceHours = 8.0,
    ) {
    }

    public function allowed(): Nutrients
    {
        return $this->over ?? Nutrients::of(30.0, 30.0, 60.0);
    }

    public function standing(): Nutrients
    {
        return $this->standingDose ?? Nutrients::of(100.0, 50.0, 100.0);
    }
}
