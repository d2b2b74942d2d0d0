<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Growth\Cold;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Time\Day;

/**
 * Whether plants may go out today: by their size in the tray, the soil, the nights and noons foretold, water and cover
 * (common practice, no source: four to five true leaves for many crops, which the nursery's days stand for).
 */
final readonly class PlantOutCheck
{
    private const NIGHTS = 3;
    private const MARGIN = 1.0;
    private const GOOD_RAIN = 5.0;
    /** The last days a plant stands in its cell. */
    private const SOON_TOO_OLD = 2;

    /** @param list<Message> $reasons what stands against it first, then what speaks for it */
    private function __construct(public PlantOut $is, public array $reasons)
    {
    }

    public static function of(Site $site, Planting $planting, Day $day): self
    {
        $against = array_values(array_filter([self::size($site, $planting, $day), self::soil($site, $planting, $day),
            self::nights($site, $planting, $day)]));
        $oldest = $planting->sow->plus($site->crop($planting)->stand->greatestAge($planting->ground->since($planting->sow)));
        $isLast = !$day->isBefore($oldest->plus(-self::SOON_TOO_OLD));
        $old = Message::of(PlantOutSays::Oldest, age: $day->since($planting->sow), day: $oldest);

        return new self(match (true) {
            $isLast => PlantOut::NowOrNever,
            [] === $against => PlantOut::Ready,
            default => PlantOut::Wait,
        }, [...$against, ...$isLast ? [$old] : [], ...self::beside($site, $day)]);
    }

    private static function size(Site $site, Planting $planting, Day $day): ?Message
    {
        $grown = $site->garden->local()->of($site->crop($planting),
            $site->garden->coversOf($planting))->outOfTheNursery($planting->sow->number);
        $grown = null === $grown ? $planting->ground : Day::of($grown);

        return $day->isBefore($grown) ? Message::of(PlantOutSays::Small, day: $grown) : null;
    }

    private static function soil(Site $site, Planting $planting, Day $day): ?Message
    {
        $limits = $site->crop($planting)->limits;
        $soil = $site->garden->local()->soilOn($day->number, $site->garden->coversOf($planting));

        return match (true) {
            null === $soil => null,
            $soil < $limits->soilLeast => Message::of(PlantOutSays::ColdSoil, is: self::degrees($soil),
                least: self::degrees($limits->soilLeast)),
            $soil > $limits->soilMost => Message::of(PlantOutSays::HotSoil, is: self::degrees($soil),
                most: self::degrees($limits->soilMost)),
            default => null,
        };
    }

    /** Frost it would not live through, under what lies over it. */
    private static function nights(Site $site, Planting $planting, Day $day): ?Message
    {
        $cold = $site->crop($planting)->limits->cold;
        $kills = Cold::killsAt($cold->youngKill ?? $cold->kill, 0.0);
        $over = Cover::usualOf($planting->place);
        foreach ($site->garden->protections as $protection) {
            $over = $protection->days->contains($day) && $protection->isOver($planting->key, Site::bedsOf($planting))
                ? $over->under($protection->cover) : $over;
        }
        for ($n = 0; $n < self::NIGHTS; ++$n) {
            $night = $site->weather->nightAfter($day->plus($n));
            if (null !== $night && max($over->floor(), $night + $over->atNight()) <= $kills + self::MARGIN) {
                return Message::of(PlantOutSays::Frost, day: $day->plus($n), low: self::degrees($night));
            }
        }

        return null;
    }

    /** @return list<Message> what to mind when it goes out */
    private static function beside(Site $site, Day $day): array
    {
        $rain = $site->weather->rain($day) + $site->weather->rain($day->plus(1));
        $noon = $site->weather->noon($day);

        return array_values(array_filter([
            null !== $noon && $noon >= SoilDays::HOT ? Message::of(PlantOutSays::Hot, noon: self::degrees($noon)) : null,
            Message::of($rain >= self::GOOD_RAIN ? PlantOutSays::RainComes : PlantOutSays::WaterIn),
        ]));
    }

    private static function degrees(float $celsius): Quantity
    {
        return Quantity::of(round($celsius), Unit::Celsius);
    }
}
