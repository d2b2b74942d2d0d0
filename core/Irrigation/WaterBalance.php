<?php

declare(strict_types=1);

namespace JollyFurrow\Irrigation;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
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
final class WaterBalance
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
    /** mm that may be lacking: a share of what the roots reach, but no grower lets more than an inch (common practice). */
    private const MOST_LACKING = 25.0;

    /** @var array<int, array{float, float}> what grass gives off and what rain stays, mm, by day */
    private array $days = [];

    public function __construct(private readonly Garden $garden, private readonly DailyRecord $outlook)
    {
    }

    /** @return array<int, DayWater> by number of the day, from planting until the bed is cleared */
    public function of(Planting $planting, CropWater $water, BedSoil $soil, Mulch $mulch): array
    {
        $days = [];
        $this->run($planting, $water, $soil, $mulch, $planting->clear->number, $days);

        return $days ?? [];
    }

    /** @return array<int, float> mm to be given, on the days something is, up to a day */
    public function given(Planting $planting, CropWater $water, BedSoil $soil, Mulch $mulch, Day $until): array
    {
        return $this->run($planting, $water, $soil, $mulch, $until->number);
    }

    /**
     * @param array<int, DayWater>|null $all day by day, where that is wanted
     *
     * @return array<int, float> mm to be given, on the days something is
     */
    private function run(Planting $planting, CropWater $water, BedSoil $soil, Mulch $mulch, int $until, ?array &$all = null): array
    {
        $given = [];
        $lacking = 0.0;
        [$ground, $ready, $clear] = [$planting->ground->number, $planting->ready->number, $planting->clear->number];
        $lastWater = $this->lastWater($planting, $water)->number;
        $isOpen = PlaceType::Field === $planting->place;
        $keeps = ($isOpen ? 1.0 : self::UNDER_ROOF) * match ($mulch) {
            Mulch::None => 1.0,
            Mulch::Straw => self::UNDER_STRAW,
            default => self::UNDER_FILM,
        };
        $store = $soil->texture->water() * $water->depletion;
        $root = $water->root - self::YOUNG_ROOT;
        $ripens = max(1, $ready - $ground);
        $harvest = max(1, $clear - $ready);
        for ($day = $ground, $end = min($clear, $until); $day < $end; ++$day) {
            [$grass, $rain] = $this->days[$day] ??= $this->day(Day::of($day));
            $way = ($day - $ground) / $ripens;
            $uses = $grass * $keeps * ($day > $ready ? $water->factor(1.0, ($day - $ready) / $harvest) : $water->factor($way));
            $rain = $isOpen ? $rain : 0.0;
            $lacking = max(0.0, $lacking + $uses - $rain);
            $bears = min(self::MOST_LACKING, $store * min($water->root, self::YOUNG_ROOT + $root * ($way < 1.0 ? $way : 1.0)));
            $gives = $lacking > $bears && $day < $lastWater ? $lacking : 0.0;
            if (null !== $all) {
                $all[$day] = new DayWater($uses, $rain, $lacking, $gives);
            }
            if ($gives > 0.0) {
                $given[$day] = $gives;
                $lacking = 0.0;
            }
        }

        return $given;
    }

    /** Storage crops are dried off before they are lifted. */
    public function lastWater(Planting $planting, CropWater $water): Day
    {
        return 0 === $water->dryOff ? $planting->clear : $planting->ready->plus(-$water->dryOff);
    }

    /** @return array{float, float} */
    private function day(Day $day): array
    {
        $climate = $this->garden->climate;
        $i = Climate::index($day);
        $n = $day->number;
        $rain = $climate->measured->rain[$n] ?? $this->outlook->rain[$n] ?? $climate->climate->rain[$i];

        return [Evaporation::hargreaves($climate->measured->min[$n] ?? $this->outlook->min[$n] ?? $climate->climate->min[$i],
            $climate->measured->max[$n] ?? $this->outlook->max[$n] ?? $climate->climate->max[$i], $this->garden->place->latitude, $day),
            min($rain, self::LIGHT_RAIN) + self::RAIN_STAYS * max(0.0, $rain - self::LIGHT_RAIN)];
    }
}
