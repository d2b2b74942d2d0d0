<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Measure\Share;
use JollyFurrow\Measure\Units;
use JollyFurrow\Soil\CompostWay;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\RateBasis;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Soil\Texture;
use Symfony\Component\Validator\Constraints as Assert;

/** How the garden feeds, as it is typed: kilograms a hectare, or pounds an acre. */
final class RulesData
{
    public FeedSchool $school = FeedSchool::ByTest;
    public RateBasis $basis = RateBasis::Beds;
    public CompostWay $compost = CompostWay::OnceAYear;
    public float $overN = 30.0;
    public float $overP = 30.0;
    public float $overK = 60.0;
    public float $doseN = 100.0;
    public float $doseP = 50.0;
    public float $doseK = 100.0;
    #[Assert\NotNull]
    public ?Share $short = null;
    public SoilLevel $untested = SoilLevel::Middling;
    public SoilLevel $tunnels = SoilLevel::High;
    public float $organic = 3.0;
    public Texture $texture = Texture::Loam;

    /** Pounds an acre are one kilogram a hectare. */
    private const POUNDS = 0.892179;

    private float $each = 1.0;

    public static function of(FeedRules $rules, Units $units): self
    {
        $data = new self();
        $data->each = Units::UsCustomary === $units ? self::POUNDS : 1.0;
        $typed = static fn (Nutrients $n): array => array_map(static fn (float $of): float => round($of * $data->each, 1), $n->list());
        [$data->school, $data->basis, $data->compost] = [$rules->school, $rules->basis, $rules->compost];
        [$data->overN, $data->overP, $data->overK] = $typed($rules->allowed());
        [$data->doseN, $data->doseP, $data->doseK] = $typed($rules->standing());
        $data->short = Share::of($rules->short);
        [$data->untested, $data->tunnels, $data->organic, $data->texture] = [$rules->untested, $rules->tunnels, $rules->organic,
            $rules->texture];

        return $data;
    }

    public function rules(FeedRules $was): FeedRules
    {
        return new FeedRules($this->school, $this->basis, $this->compost, $this->kilograms($this->overN, $this->overP, $this->overK,
            $was->allowed()),
            $this->kilograms($this->doseN, $this->doseP, $this->doseK, $was->standing()), $this->short->value ?? $was->short,
            $was->mixCents, $this->untested,
            $this->tunnels, $this->organic, $this->texture, $was->sourceLitres, $was->sourceHours);
    }

    /** What was not changed stays to the gram. */
    private function kilograms(float $n, float $p, float $k, Nutrients $was): Nutrients
    {
        $is = array_map(fn (float $typed, float $old): float => abs($typed - round($old * $this->each, 1)) < 1e-9 ? $old
            : $typed / $this->each, [$n, $p, $k], $was->list());

        return Nutrients::of($is[0], $is[1], $is[2]);
    }
}
