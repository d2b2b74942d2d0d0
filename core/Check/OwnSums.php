<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Climate\Bell;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyLight;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\GuessedClimate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\Nearness;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Growth\Cold;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/**
 * The checker's own count of warmth, light and frost at the garden's place, day by day and without the planner's sums:
 * slow, and written to be compared.
 */
final class OwnSums
{
    private const MOST_DAYS = 560;
    private const DAMPING = 0.4;
    /** Bell curve in five points. */
    private const POINTS = [[0.0, 0.5333], [1.356, 0.2221], [-1.356, 0.2221], [2.857, 0.0113], [-2.857, 0.0113]];
    private readonly float $latitude;
    private readonly Climate $climate;
    private readonly DailyRecord $readings;
    /** @var array<string, array{min: float, max: float, light: float, spread: float}> by place type and day */
    private array $days = [];
    /** @var array<string, float> warmth by place type, temperatures of the crop, and day of the year or day read */
    private array $grown = [];
    /** @var array<string, float> by length, place type and last day */
    private array $means = [];
    private float $hollow;

    public function __construct(Sheet $garden)
    {
        $place = $garden->part('place');
        $rules = $garden->part('settings')->part('plan_rules');
        $this->hollow = $rules->has('hollow_k') ? $rules->number('hollow_k') : 0.0;
        $this->latitude = $place->number('latitude');
        $climate = $garden->part('climate');
        $this->climate = self::climate($climate, $this->latitude, (int) $place->number('altitude_m'));
        $this->readings = DailyRecord::fromRows(self::rows($climate->lists('readings')));
    }

    /** Day it is up; what is no seed stands at once. Null: it does not come up. */
    public function up(Crop $crop, bool $isSown, PlaceType $place, int $ground): ?int
    {
        $day = $ground;
        for ($way = 0.0; $isSown && $crop->habits->stock->isSeed() && $way < 1.0 - 1e-9; ++$day) {
            if ($day - $ground > self::MOST_DAYS) {
                return null;
            }
            $way += $this->emergence($crop, $place, $day);
        }

        return $day;
    }

    /** Ready day by warmth and light; null: it does not get there. Bulbs and what follows the year are not counted. */
    public function ready(Crop $crop, bool $isSown, PlaceType $place, int $ground): ?int
    {
        $up = $this->up($crop, $isSown, $place, $ground);
        $catalogue = (float) ($isSown ? $crop->timing->daysSown : $crop->timing->daysTransplanted);
        if ($isSown && $crop->habits->stock->isSeed()) {
            $catalogue = max(1.0, $catalogue - ($crop->growth->emergence->daysAt($crop->growth->reference + 1.0) ?? 0.0));
        }
        $spread = $crop->pattern->isStock() ? intdiv($crop->timing->spread, 2) : 0;

        return null === $up ? null : $this->after($crop, $place, $up, $catalogue + $spread);
    }

    /** The day so many catalogue days later; null: it is too dark or cold for that. */
    public function after(Crop $crop, PlaceType $place, int $from, float $catalogueDays): ?int
    {
        $day = $from;
        for ($sum = 0.0; $sum < $catalogueDays - 1e-9; ++$day) {
            if ($day - $from > self::MOST_DAYS) {
                return null;
            }
            $sum += $this->growth($crop, $place, $day);
        }

        return $day;
    }

    /** Catalogue days that warmth and light make of these days. */
    public function grown(Crop $crop, PlaceType $place, int $from, int $until): float
    {
        $sum = 0.0;
        for ($day = $from; $day < $until; ++$day) {
            $sum += $this->growth($crop, $place, $day);
        }

        return $sum;
    }

    /** Odds that a night of these days kills a plant of the crop that is up. */
    public function killed(Crop $crop, PlaceType $place, int $from, int $until): float
    {
        $lives = 1.0;
        for ($day = $from; $day < $until; ++$day) {
            $kills = Cold::killsAt($crop->limits->cold->kill, Cold::hardened($this->meanOf(14, $place, $day)));
            $at = $this->on($place, $day);
            $odds = 0.0 === $at['spread'] ? ($at['min'] <= $kills ? 1.0 : 0.0)
                : Bell::below(($kills - $at['min']) / max(0.5, $at['spread']));
            $lives *= (1 - min(0.999999, $odds)) ** (1 / 3);
        }

        return 1 - $lives;
    }

    /** Mean of the soil at seed depth, degrees C. */
    public function soil(PlaceType $place, int $day): float
    {
        return $this->meanOf(11, $place, $day) + min(2.5, 0.12 * max(0.0, $this->on($place, $day)['light'] - 5.0));
    }

    private function growth(Crop $crop, PlaceType $place, int $day): float
    {
        $growth = $crop->growth;
        $at = $this->on($place, $day);
        $year = 0.0 === $at['spread'] ? 'read'.$day : Climate::index(Day::of($day));
        $key = implode('/', [$place->value, $growth->temperature->least, $growth->temperature->best, $growth->temperature->most,
            $growth->reference, $year]);

        return ($this->grown[$key] ??= $this->warmth($crop, $at)) * $growth->light->at($at['light']);
    }

    /** @param array{min: float, max: float, light: float, spread: float} $day */
    private function warmth(Crop $crop, array $day): float
    {
        $response = $crop->growth->temperature;
        $reference = $response->overDay($crop->growth->reference - 5.0, $crop->growth->reference + 5.0);
        $warmth = 0.0;
        foreach (0.0 === $day['spread'] ? [[0.0, 1.0]] : self::POINTS as [$z, $weight]) {
            $shift = $z * 0.86 * $day['spread'];
            $rate = $response->overDay($day['min'] + $shift, $day['max'] + $shift) / $reference;
            $warmth += $weight * ($rate > 1 ? 1 + self::DAMPING * ($rate - 1) : $rate);
        }

        return $warmth;
    }

    private function emergence(Crop $crop, PlaceType $place, int $day): float
    {
        $soil = $this->soil($place, $day);
        $at = $this->on($place, $day);
        $swing = ($at['max'] - $at['min']) / 2 * exp(-$crop->stand->depth->centimetres() / 10);
        $table = $crop->growth->emergence;

        return ($table->rate($soil - $swing) + 2 * $table->rate($soil) + $table->rate($soil + 1.1 * $swing)) / 4;
    }

    /** Mean of the air over so many days that end with this one. */
    private function meanOf(int $days, PlaceType $place, int $day): float
    {
        $key = $days.$place->value.$day;
        if (!isset($this->means[$key])) {
            $sum = 0.0;
            for ($back = 0; $back < $days; ++$back) {
                $at = $this->on($place, $day - $back);
                $sum += ($at['min'] + $at['max']) / 2;
            }
            $this->means[$key] = $sum / $days;
        }

        return $this->means[$key];
    }

    /** @return array{min: float, max: float, light: float, spread: float} */
    private function on(PlaceType $place, int $day): array
    {
        return $this->days[$place->value.$day] ??= $this->under(Cover::usualOf($place), $day);
    }

    /** @return array{min: float, max: float, light: float, spread: float} */
    private function under(Cover $cover, int $day): array
    {
        $i = Climate::index(Day::of($day));
        $isRead = isset($this->readings->min[$day]);
        $min = $isRead ? $this->readings->min[$day] : $this->climate->min[$i] - $this->hollow;
        $max = $isRead ? $this->readings->max[$day] : $this->climate->max[$i];
        $light = DailyLight::clearness($min, $max) * DailyLight::extraterrestrial($this->latitude, Day::of($day)) * $cover->light();
        $spread = $isRead ? 0.0 : $this->climate->minSd[$i];
        if (Cover::None === $cover) {
            return ['min' => $min, 'max' => $max, 'light' => $light, 'spread' => $spread];
        }
        $low = max($cover->floor(), $min + $cover->atNight());

        return ['min' => $low, 'max' => max($low, $max, min($cover->aired($max), $max + $cover->byDay($light))), 'light' => $light,
            'spread' => $spread];
    }

    private static function climate(Sheet $climate, float $latitude, int $altitude): Climate
    {
        $isRecord = $climate->has('record');
        if (!$isRecord && !$climate->has('months')) {
            return Climate::fromMonths(GuessedClimate::of($latitude, $altitude, Nearness::Between));
        }
        $months = $climate->part('months');
        $means = !$climate->has('months') ? null : MonthlyMeans::of($months->floats('min_c'), $months->floats('max_c'),
            $months->has('rain_mm')
            ? $months->floats('rain_mm') : null, Nearness::tryFrom($months->has('guessed_for') ? $months->text('guessed_for') : ''));

        return $isRecord || null === $means ? Climate::fromRecord(DailyRecord::fromRows(self::rows($climate->lists('record'))), $means)
            : Climate::fromMonths($means);
    }

    /**
     * @param list<list<mixed>> $lists
     *
     * @return list<array{int, float, float, float|null}>
     */
    private static function rows(array $lists): array
    {
        return array_map(static fn (array $row): array => [Day::parse(\is_string($row[0] ?? null) ? $row[0] : '')->number,
            self::float($row[1] ?? null), self::float($row[2] ?? null), is_numeric($row[3] ?? null) ? (float) $row[3] : null], $lists);
    }

    private static function float(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }
}
