<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Time\Day;

/**
 * The soil's water under one planting, day by day (FAO-56, chapter 8, in its simple form): what it gives off is taken from
 * the store of its roots, rain put back; when more is gone than it bears, it is watered up to full. Weather as measured, then
 * as foretold, then as usual.
 */
final readonly class WaterBalance
{
    /** Film and mulch keep part of it in (FAO-56, chapter 10: 0.8 to 0.9 of the crop's). */
    private const UNDER_FILM = 0.85;
    private const UNDER_STRAW = 0.9;
    /** Under a roof of film there is less light and wind (own model). */
    private const UNDER_ROOF = 0.8;
    /** Roots of young plants, m. */
    private const YOUNG_ROOT = 0.15;
    /** Of a light rain all, of the rest so much stays where roots are (common practice). */
    private const LIGHT_RAIN = 2.0;
    private const RAIN_STAYS = 0.8;

    public function __construct(private Garden $garden, private DailyRecord $outlook)
    {
    }

    /** @return array<int, DayWater> by number of the day, from planting until it wants no more */
    public function of(Planting $planting, Crop $crop, CropWater $water, BedSoil $soil, Mulch $mulch): array
    {
        $days = [];
        $lacking = 0.0;
        $until = $this->lastWater($planting, $water);
        $ripens = max(1, $planting->ready->since($planting->ground));
        $harvest = max(1, $planting->clear->since($planting->ready));
        for ($day = $planting->ground; $day->isBefore($planting->clear); $day = $day->plus(1)) {
            $way = $day->since($planting->ground) / $ripens;
            $late = max(0.0, $day->since($planting->ready) / $harvest);
            $uses = $this->evaporation($planting, $day) * $water->factor($way, $late) * match ($mulch) {
                Mulch::None => 1.0,
                Mulch::Straw => self::UNDER_STRAW,
                default => self::UNDER_FILM,
            };
            $rain = PlaceType::Field === $planting->place ? self::stays($this->rain($day)) : 0.0;
            $lacking = max(0.0, $lacking + $uses - $rain);
            $bears = $water->depletion * $soil->texture->water() * min($water->root, self::YOUNG_ROOT
                + ($water->root - self::YOUNG_ROOT) * min(1.0, $way));
            $given = $lacking > $bears && $day->isBefore($until) ? $lacking : 0.0;
            $days[$day->number] = new DayWater($uses, $rain, $lacking, $given);
            $lacking -= $given;
        }

        return $days;
    }

    /** Storage crops are dried off before they are lifted. */
    public function lastWater(Planting $planting, CropWater $water): Day
    {
        return 0 === $water->dryOff ? $planting->clear : $planting->ready->plus(-$water->dryOff);
    }

    private function evaporation(Planting $planting, Day $day): float
    {
        $climate = $this->garden->climate;
        $i = Climate::index($day);
        $min = $climate->measured->min[$day->number] ?? $this->outlook->min[$day->number] ?? $climate->climate->min[$i];
        $max = $climate->measured->max[$day->number] ?? $this->outlook->max[$day->number] ?? $climate->climate->max[$i];

        return Evaporation::hargreaves($min, $max, $this->garden->place->latitude, $day)
            * (PlaceType::Field === $planting->place ? 1.0 : self::UNDER_ROOF);
    }

    private function rain(Day $day): float
    {
        return $this->garden->climate->measured->rain[$day->number] ?? $this->outlook->rain[$day->number]
            ?? $this->garden->climate->climate->rain[Climate::index($day)];
    }

    private static function stays(float $rain): float
    {
        return min($rain, self::LIGHT_RAIN) + self::RAIN_STAYS * max(0.0, $rain - self::LIGHT_RAIN);
    }
}
