<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Measure\Share;
use JollyFurrow\Soil\CompostWay;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\RateBasis;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Soil\Texture;
use Symfony\Component\Validator\Constraints as Assert;

/** How the garden feeds, as it is typed. Kilograms a hectare. */
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

    public static function of(FeedRules $rules): self
    {
        $data = new self();
        [$data->school, $data->basis, $data->compost] = [$rules->school, $rules->basis, $rules->compost];
        [$data->overN, $data->overP, $data->overK] = $rules->allowed()->list();
        [$data->doseN, $data->doseP, $data->doseK] = $rules->standing()->list();
        $data->short = Share::of($rules->short);
        [$data->untested, $data->tunnels, $data->organic, $data->texture] = [$rules->untested, $rules->tunnels, $rules->organic,
            $rules->texture];

        return $data;
    }

    public function rules(FeedRules $was): FeedRules
    {
        return new FeedRules($this->school, $this->basis, $this->compost, Nutrients::of($this->overN, $this->overP, $this->overK),
            Nutrients::of($this->doseN, $this->doseP, $this->doseK), $this->short->value ?? $was->short, $was->mixCents, $this->untested,
            $this->tunnels, $this->organic, $this->texture, $was->sourceLitres, $was->sourceHours);
    }
}
