<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Garden\BlockRules;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Lengths;
use JollyFurrow\Garden\NotHere;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\ReserveWay;
use JollyFurrow\Garden\RestingBed;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Paths;
use JollyFurrow\Land\Quarantine;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Land\Temper;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** A garden made by chance from a seed: beds of odd lengths, a few crops, promises to three outlets, often more than fits. */
final class RandomGarden
{
    public static function of(int $seed): Garden
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $today = Day::fromDate(2026, 3, 2)->plus($chance->getInt(0, 120));
        $beds = self::beds($chance);
        $outlets = [
            new Outlet('boxes', 'Boxes', Weekday::Wednesday, 1, 4, null),
            new Outlet('stall', 'Stall', Weekday::Saturday, 2, 3, null),
            new Outlet('kitchen', 'Kitchen', Weekday::from($chance->getInt(1, 6)), 3, 3, $chance->getInt(1, 3)),
        ];
        $crops = Book::soldKeys() ?: ['radish'];
        $products = [];
        $promises = [];
        foreach ((array) $chance->pickArrayKeys($crops, $chance->getInt(3, 7)) as $index) {
            $item = $crops[(int) $index];
            $products[] = new Product('p-'.$item, $item, 'unit', Money::fromCents($chance->getInt(80, 500)),
                [new Part($item, (float) $chance->getInt(1, 4))]);
            foreach ($outlets as $outlet) {
                $first = $today->plus($chance->getInt(20, 120));
                for ($day = $first; $day->since($first) < 7 * $chance->getInt(3, 12); $day = $day->plus(1)) {
                    if ($outlet->days->isOpenOn($day)) {
                        $promises[] = new Promise($outlet->key, 'p-'.$item, $day, (float) $chance->getInt(1, 25));
                    }
                }
            }
        }

        return new Garden('By chance '.$seed, $today, new Place('Nowhere', 46.9, 300, MonthDay::parse('05-14'),
            MonthDay::parse('10-06')), Settings::usual(), ['A', 'T'], $beds, self::history($chance, $beds, $today), $outlets, $products,
            $promises, []);
    }

    /** The same at one of the eight places, by turns, dated by heat and light; all beds of one width. */
    public static function somewhere(int $seed, int $centimetres = 75): Garden
    {
        $g = self::of($seed);
        $names = array_keys(EightPlaces::all());
        $name = $names[$seed % \count($names)];
        $place = new Place($name, EightPlaces::all()[$name]['latitude'], 100, $g->place->lastFrost, $g->place->firstFrost);
        $beds = array_map(static fn (Bed $b): Bed => new Bed($b->name, $b->block, $b->position, $b->length,
            Length::fromCentimetres($centimetres), $b->path, $b->place), $g->beds);

        return new Garden($g->name, $g->today, $place, $g->settings, $g->blocks, $beds, $g->history, $g->outlets, $g->products,
            $g->promises, [], [], EightPlaces::climate($name));
    }

    /**
     * The same with rules by chance: resting and reserve beds, "not here", quarantine, blocks with a recipe or families of
     * their own, a cycle, wishes, a reserve.
     */
    public static function ruled(int $seed): Garden
    {
        $garden = self::of($seed);
        $chance = new Randomizer(new Xoshiro256StarStar($seed + 7000));
        $name = static fn (): string => $garden->beds[$chance->getInt(0, \count($garden->beds) - 1)]->name;
        $families = array_values(array_unique(array_map(static fn (Product $p): string => Book::crops()->get($p->parts[0]->item)->family,
            $garden->products)));
        $beds = array_map(static fn (Bed $b): Bed => new Bed($b->name, $b->block, $b->position, $b->length, $b->width, $b->path,
            $b->place, 0 === $chance->getInt(0, 3) ? new Temper(weeds: 'tough') : $b->temper, 0 === $chance->getInt(0, 4)
            ? [new Quarantine($families[0], $garden->today->plus(400), '')] : []), $garden->beds);
        $from = $garden->today->plus($chance->getInt(0, 90));
        $rules = new PlanRules(
            ['A' => new BlockRules(['', 'tarp-shallow-till', 'stale-seedbed'][$chance->getInt(0, 2)], Paths::Hoed,
                0 === $chance->getInt(0, 2) ? [$families[0]] : [])],
            [$name() => [new RestingBed(Period::fromFirstToLast($from, $from->plus($chance->getInt(10, 120))))]],
            0 === $chance->getInt(0, 2) ? [$name()] : [],
            0 === $chance->getInt(0, 1) ? [new NotHere($families[\count($families) - 1], $name())] : [],
            0 === $chance->getInt(0, 2) ? [['cabbage'], ['root', 'onion'], ['leaf', 'legume']] : [],
            school: SuccessionSchool::cases()[$chance->getInt(0, 2)],
            lengths: Lengths::cases()[$chance->getInt(0, 3)],
            fullTrays: 0 === $chance->getInt(0, 3),
            reserve: $chance->getInt(0, 3) / 10,
            reserveWay: ReserveWay::cases()[$chance->getInt(0, 1)],
            mostSowings: $chance->getInt(0, 2),
        );

        return (new Garden($garden->name, $garden->today, $garden->place, $garden->settings, $garden->blocks, $beds, $garden->history,
            $garden->outlets, $garden->products, $garden->promises, []))->set($garden->settings->ruledBy($rules));
    }

    /** @return list<Bed> */
    private static function beds(Randomizer $chance): array
    {
        $beds = [];
        for ($i = 1, $count = $chance->getInt(2, 14); $i <= $count; ++$i) {
            $tunnel = 0 === $chance->getInt(0, 4);
            $beds[] = new Bed(($tunnel ? 'T' : 'A').$i, $tunnel ? 'T' : 'A', $i,
                Length::fromMetres([20.0, 25.0, 25.0, 13.5][$chance->getInt(0, 3)]), Length::fromCentimetres(75),
                Length::fromCentimetres(40), $tunnel ? PlaceType::Tunnel : PlaceType::Field);
        }

        usort($beds, static fn (Bed $a, Bed $b): int => [$a->block, $a->position] <=> [$b->block, $b->position]);

        return $beds;
    }

    /**
     * @param list<Bed> $beds
     *
     * @return list<PastCrop>
     */
    private static function history(Randomizer $chance, array $beds, Day $today): array
    {
        $crops = Book::soldKeys();

        return array_map(static fn (Bed $bed): PastCrop => new PastCrop(Stretch::of($bed->name, 0, $bed->length->micrometres),
            $crops[$chance->getInt(0, \count($crops) - 1)], $today->plus(-$chance->getInt(30, 1500))), $beds);
    }
}
