<?php

declare(strict_types=1);

namespace JollyFurrow\Ways;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** What a planting costs: setting up once, work and plants by the bed metre, and the rent of the bed. Cents. */
final readonly class PlantingCost
{
    /** Hours at the start of any sowing, whatever its length: fetch, set up, label, note (common practice, no source). */
    private const SET_UP_HOURS = 0.5;
    /** Hours per 100 bed metres to put the crop into the ground (common practice, no source). */
    private const HOURS_SOWN = 1.0;
    private const HOURS_TRANSPLANTED = 4.0;
    /** Cents per cell raised: compost, tray wear, bench (own model: a stated default). */
    private const CENTS_PER_CELL = 3.0;

    public function __construct(private Garden $garden, private RecipeBook $recipes)
    {
    }

    /** Whatever the length. */
    public function setUp(): float
    {
        return self::SET_UP_HOURS * $this->garden->settings->wage;
    }

    /** Work and plants of one bed metre. */
    public function perMetre(Crop $crop, Method $method, string $recipe): float
    {
        $planting = Method::Transplanted === $method ? self::HOURS_TRANSPLANTED : self::HOURS_SOWN;
        $hours = ($this->recipes->get($recipe)->hoursPer100Metres() + $planting) / 100;
        $stand = $crop->standFor($method);
        $cells = Method::Transplanted === $method
            ? $stand->rows / $stand->inRow->metres() / (1 - $stand->trayLoss) * self::CENTS_PER_CELL : 0.0;

        return $hours * $this->garden->settings->wage + $cells;
    }

    /** Hours to set up, make the bed ready and plant. */
    public function hours(Planting $planting): float
    {
        $planted = Method::Transplanted === $planting->method ? self::HOURS_TRANSPLANTED : self::HOURS_SOWN;

        return self::SET_UP_HOURS + ($this->recipes->get($planting->recipe)->hoursPer100Metres() + $planted) / 100 * $planting->length()->metres();
    }

    public function of(Planting $planting, CropBook $book): Working
    {
        $metres = $planting->length()->metres();
        $work = $this->perMetre($book->grown($planting->item, $planting->variety), $planting->method, $planting->recipe);
        $days = $planting->clear->since($planting->bedStart) + 1;
        $rent = $this->garden->settings->rentAt($planting->place);
        $settings = Source::garden(From::Settings);
        $plan = Source::garden(From::ThePlan);

        return Working::of(Sum::PlantingPrice, $this->setUp() + $metres * ($work + $days * $rent / 7), Unit::Cent,
            'setUp + metres * (work + days * rent / 7)', [
            Input::of('setUp', $this->setUp(), Unit::Cent, $settings),
            Input::of('metres', $metres, Unit::Metre, $plan),
            Input::of('work', $work, Unit::CentPerMetre, Source::practice()),
            Input::of('days', $days, Unit::Day, $plan),
            Input::of('rent', $rent, Unit::CentPerMetre, $settings),
        ], Source::model(From::WeighedByThePlanner));
    }
}
