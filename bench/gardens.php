<?php

declare(strict_types=1);

use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Weekday;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Crops of the bench gardens, by name: what is added to the book does not change them. */
const BENCH_CROPS = [
    'lettuce-head', 'lettuce-leaf', 'spinach', 'spinach-autumn', 'arugula', 'mizuna', 'radish', 'carrot', 'carrot-storage', 'beet',
    'beet-storage', 'turnip', 'kohlrabi', 'broccoli', 'cauliflower', 'cabbage-early', 'cabbage-storage', 'kale', 'chard', 'scallion',
    'onion', 'leek', 'garlic', 'tomato', 'pepper', 'cucumber', 'squash-summer', 'squash-winter', 'bean-bush', 'pea', 'corn',
    'potato-early', 'potato-storage', 'parsley', 'basil', 'fennel', 'chinese-cabbage', 'pak-choi', 'brussels-sprouts', 'cabbage-red',
    'radicchio', 'endive', 'corn-salad', 'celery', 'celeriac', 'parsnip', 'rutabaga', 'radish-winter', 'eggplant', 'melon',
    'pumpkin', 'sweet-potato', 'bean-broad', 'bean-runner', 'shallot', 'dill', 'cilantro', 'broccoli-sprouting', 'okra',
    'watermelon',
];

/** A garden fixed by its seed: so many crops promised to two outlets, so many beds, a quarter of them in tunnels. */
function bench_garden(CropBook $book, int $seed, int $crops, int $beds, float $demand): Garden
{
    $chance = new Randomizer(new Xoshiro256StarStar($seed));
    $today = Day::parse('2026-03-02');
    $list = [];
    for ($i = 1; $i <= $beds; ++$i) {
        $tunnel = $i > $beds * 0.8;
        $list[] = new Bed(($tunnel ? 'T' : 'A').$i, $tunnel ? 'T' : 'A', $i, Length::fromMetres(25), Length::fromCentimetres(75), Length::fromCentimetres(45), $tunnel ? PlaceType::Tunnel : PlaceType::Field);
    }
    $outlets = [new Outlet('boxes', 'Boxes', Weekday::Wednesday, 1, 4, null), new Outlet('stall', 'Stall', Weekday::Saturday, 2, 4, null)];
    $products = [];
    $promises = [];
    foreach (array_map($book->get(...), array_slice(BENCH_CROPS, 0, $crops)) as $crop) {
        $products[] = new Product($crop->key, $crop->name, $crop->produce->unit, Money::fromCents($chance->getInt(80, 400)), [new Part($crop->item(), 1.0)]);
        // Enough for about one bed at a time: what a metre yields, over the weeks it is sold.
        $first = $today->plus(90 + $chance->getInt(0, 60));
        $weeks = $chance->getInt(8, 18);
        foreach ($outlets as $outlet) {
            for ($day = $first; $day->since($first) < 7 * $weeks; $day = $day->plus(1)) {
                if ($outlet->days->isOpenOn($day)) {
                    $promises[] = new Promise($outlet->key, $crop->key, $day, max(1.0, round($demand * $crop->produce->perMetre * $chance->getInt(80, 120) / 100)));
                }
            }
        }
    }

    return new Garden('Bench '.$seed, $today, new Place('Bench', 46.9, 310, MonthDay::parse('05-14'), MonthDay::parse('10-06')), Settings::usual(), ['A', 'T'], $list, [], $outlets, $products, $promises, [], [], PlaceClimate::fromMonths(MonthlyMeans::of([-3.0, -2.5, 0.5, 3.6, 8.0, 11.2, 13.0, 12.6, 9.2, 5.4, 1.2, -1.8], [3.2, 5.0, 10.3, 15.2, 19.8, 22.9, 25.0, 24.5, 19.9, 14.2, 7.9, 4.0], [60.0, 55.0, 60.0, 65.0, 85.0, 95.0, 100.0, 90.0, 75.0, 65.0, 65.0, 65.0]), 46.9));
}
