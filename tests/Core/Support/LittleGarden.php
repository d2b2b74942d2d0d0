<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Weekday;

/** Three field beds of 20 m and a tunnel bed, one Saturday stall that sells radishes and lettuce. */
final class LittleGarden
{
    /**
     * @param list<Planting>     $plantings
     * @param array<string, int> $promises  bunches of radishes by day
     */
    public static function on(string $today, array $plantings = [], array $promises = []): Garden
    {
        $bed = static fn (int $i, string $name, string $block, PlaceType $place): Bed => new Bed($name, $block, $i,
            Length::fromMetres(20), Length::fromCentimetres(75), Length::fromCentimetres(45), $place);
        $outlet = new Outlet('stall', 'Stall', Weekday::Saturday, 1, 3, 3);
        $products = [new Product('radish', 'Radishes', 'bunch', Money::fromCents(200), [new Part('radish', 1.0)]),
            new Product('lettuce', 'Lettuce', 'head', Money::fromCents(180), [new Part('lettuce-head', 1.0)])];
        $promised = array_map(static fn (string $day, int $n): Promise => new Promise('stall', 'radish', Day::parse($day), (float) $n),
            array_keys($promises), $promises);

        return new Garden('Little', Day::parse($today), new Place('Nowhere', 46.9, 300, MonthDay::parse('05-14'),
            MonthDay::parse('10-06')), Settings::usual(), ['A', 'T'],
            [$bed(0, 'A1', 'A', PlaceType::Field), $bed(1, 'A2', 'A', PlaceType::Field), $bed(2, 'A3', 'A', PlaceType::Field),
                $bed(3, 'T1', 'T', PlaceType::Tunnel)], [], [$outlet], $products, $promised, $plantings);
    }

    /** The same at one of the eight places. */
    public static function at(string $name, string $today): Garden
    {
        $g = self::on($today);
        $place = new Place($name, EightPlaces::all()[$name]['latitude'], 100, $g->place->lastFrost, $g->place->firstFrost);

        return new Garden($g->name, $g->today, $place, $g->settings, $g->blocks, $g->beds, [], $g->outlets, $g->products, $g->promises, [],
            [], EightPlaces::climate($name));
    }

    /**
     * The same with the demo garden's climate, dated by heat and light.
     *
     * @param list<Planting> $plantings
     */
    public static function timed(string $today, array $plantings = []): Garden
    {
        $g = self::on($today, $plantings);

        return new Garden($g->name, $g->today, $g->place, $g->settings, $g->blocks, $g->beds, [], $g->outlets, $g->products, [],
            $plantings, [], PlaceClimate::fromMonths(Larkspur::months(), Larkspur::NORTH));
    }

    /** Radishes sown in a bed: ready after 30 days, held 6, 11 bunches a metre. */
    public static function radish(string $sow, string $bed = 'A1', int $from = 0, int $to = 5_000_000,
        Standing $standing = Standing::Planned, int $number = 1): Planting
    {
        $day = Day::parse($sow);

        return new Planting('radish@'.$sow.'#'.$number, 'radish', Method::Sown, PlaceType::Field, 'compost-mulch', $day, $day,
            $day->plus(-5), $day->plus(30), $day->plus(36), 11.0, [Stretch::of($bed, $from, $to)], $standing, false);
    }

    /** Head lettuce out of trays: 28 days in the nursery, ready after 44 more, held 7. */
    public static function lettuce(string $sow, string $bed = 'A2', int $from = 0, int $to = 10_000_000,
        Standing $standing = Standing::Planned): Planting
    {
        $day = Day::parse($sow);

        return new Planting('lettuce-head@'.$sow.'#1', 'lettuce-head', Method::Transplanted, PlaceType::Field, 'compost-mulch', $day,
            $day->plus(28), $day->plus(23), $day->plus(72), $day->plus(79), 9.0, [Stretch::of($bed, $from, $to)], $standing, false);
    }
}
