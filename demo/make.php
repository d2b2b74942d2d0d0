<?php

declare(strict_types=1);

/*
 * Makes demo/garden.json: Larkspur Hollow, an invented garden, as it stands on Monday 2 March 2026, before the
 * season is planned. Everything in it is made up. The same seed gives the same file.
 */

require dirname(__DIR__).'/vendor/autoload.php';

use App\Books\CropBookFile;
use App\File\GardenWriter;
use JollyFurrow\Book\BookReader;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Crop\Method;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\OwnCare;
use JollyFurrow\Diary\OwnJob;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Land\Valve;
use JollyFurrow\Land\WaterWay;
use JollyFurrow\Map\BlockLay;
use JollyFurrow\Map\GroundMap;
use JollyFurrow\Map\GroundMark;
use JollyFurrow\Map\MarkKind;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Units;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Practice\Stall;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\GlutKind;
use JollyFurrow\Sale\GlutWay;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\MixRule;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\OrderKind;
use JollyFurrow\Sale\Price;
use JollyFurrow\Sale\Terms;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Shelter\TrayRoom;
use JollyFurrow\Soil\CompostWay;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\ShedProduct;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Soil\Texture;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Storage\StoreKind;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

$chance = new Randomizer(new Xoshiro256StarStar(1907));
$today = Day::parse('2026-03-02');

/* Six blocks of fifteen beds, two tunnels of four. */
$beds = [];
$blocks = ['A', 'B', 'C', 'D', 'E', 'F', 'Tunnel 1', 'Tunnel 2'];
foreach ($blocks as $block) {
    $inTunnel = str_starts_with($block, 'Tunnel');
    for ($i = 1; $i <= ($inTunnel ? 4 : 15); ++$i) {
        $name = $inTunnel ? 'T'.substr($block, -1).'-'.$i : $block.$i;
        $beds[] = new Bed($name, $block, count($beds), Length::fromMetres(25), Length::fromCentimetres(75),
            Length::fromCentimetres($inTunnel ? 40 : 45), $inTunnel ? PlaceType::Tunnel : PlaceType::Field);
    }
}

/* Three seasons of history: each block followed a family, one year after the other, with exceptions. */
$families = [
    'cabbage' => ['broccoli', 'cabbage-early', 'kale', 'cauliflower', 'radish', 'turnip'],
    'roots' => ['carrot', 'beet', 'carrot-storage', 'beet', 'fennel', 'parsley'],
    'fruit' => ['squash-summer', 'squash-winter', 'potato-storage', 'potato-early', 'potato-storage', 'squash-winter'],
    'leaf' => ['lettuce-head', 'spinach', 'chard', 'lettuce-leaf', 'lettuce-head', 'chard'],
    'onion' => ['onion', 'leek', 'scallion', 'onion', 'onion', 'leek'],
    'legume' => ['bean-bush', 'pea', 'corn', 'bean-bush', 'pea', 'corn'],
];
$groups = array_keys($families);
$history = [];
foreach ($beds as $bed) {
    foreach ([2023, 2024, 2025] as $year) {
        $blockNumber = (int) array_search($bed->block, $blocks, true);
        $group = PlaceType::Tunnel === $bed->place ? 'fruit' : $groups[($blockNumber + $year) % 6];
        $crop = PlaceType::Tunnel === $bed->place ? ['tomato', 'cucumber', 'pepper', 'tomato'][$chance->getInt(0, 3)]
            : $families[$group][$chance->getInt(0, 5)];
        $history[] = new PastCrop(Stretch::of($bed->name, 0, 25_000_000), $crop, Day::fromDate($year, 8, 1)->plus($chance->getInt(0, 85)));
    }
}

/* What stands or lies in store on 2 March. */
$standing = [];
$stand = static function (string $item, string $bed, int $from, int $to, Method $method, string $sow, string $ground, string $ready,
    string $clear, float $perMetre, Standing $is = Standing::Growing, float $share = 1.0) use (&$standing, $beds): void {
    $place = array_values(array_filter($beds, static fn (Bed $b): bool => $b->name === $bed))[0]->place;
    $standing[] = new Planting($item.'@'.$sow.'#'.(count($standing) + 1), $item, $method, $place, 'compost-mulch', Day::parse($sow),
        Day::parse($ground), Day::parse($ground)->plus(-5), Day::parse($ready), Day::parse($clear), $perMetre, [Stretch::of($bed,
            $from * Length::MILLIMETRE, $to * Length::MILLIMETRE, $share)], $is, $share < 1.0);
};
foreach (['F1', 'F2'] as $bed) {
    $stand('garlic', $bed, 0, 25000, Method::Sown, '2025-10-21', '2025-10-21', '2026-07-14', '2026-07-21', 24);
}
foreach (['F3', 'F4', 'F5'] as $bed) {
    $stand('asparagus', $bed, 0, 25000, Method::Sown, '2022-04-05', '2022-04-05', '2026-04-25', '2027-06-13', 6);
}
$stand('rhubarb', 'F6', 0, 12500, Method::Sown, '2021-04-01', '2021-04-01', '2026-04-20', '2027-06-10', 28);
$stand('leek', 'C14', 0, 25000, Method::Transplanted, '2025-04-22', '2025-06-26', '2025-10-15', '2026-04-06', 11);
$stand('spinach-autumn', 'T1-3', 0, 25000, Method::Sown, '2025-09-23', '2025-09-23', '2026-03-06', '2026-04-20', 12);
$stand('mizuna', 'T1-4', 0, 12500, Method::Sown, '2026-02-05', '2026-02-05', '2026-03-16', '2026-03-31', 12);
$stand('lettuce-head', 'T2-1', 0, 25000, Method::Transplanted, '2026-01-20', '2026-02-24', '2026-04-10', '2026-04-22', 9);
foreach (['B11', 'B12', 'B13', 'B14', 'B15'] as $bed) {
    $stand('onion', $bed, 0, 25000, Method::Transplanted, '2026-02-03', '2026-04-10', '2026-08-08', '2026-08-20', 55, Standing::InNursery);
}
$stand('carrot-storage', 'D15', 0, 18750, Method::Sown, '2025-06-10', '2025-06-10', '2025-10-01', '2025-11-03', 40, Standing::Cleared);
$stand('potato-storage', 'E15', 0, 25000, Method::Sown, '2025-04-29', '2025-04-29', '2025-08-31', '2025-09-21', 38, Standing::Cleared);
$stand('beet-storage', 'D14', 0, 12500, Method::Sown, '2025-06-24', '2025-06-24', '2025-09-22', '2025-11-01', 40, Standing::Cleared);
$stand('onion', 'E14', 0, 25000, Method::Transplanted, '2025-02-18', '2025-04-09', '2025-07-27', '2025-08-10', 60, Standing::Cleared);

// Beets under tomatoes: the tomatoes have 60 % of the width and give 95 % of their harvest, the beets 40 % and 30 %.
$stand('tomato', 'T2-3', 0, 25000, Method::Transplanted, '2026-03-17', '2026-05-12', '2026-07-24', '2026-09-29', 174.17,
    Standing::Planned, 0.6);
$stand('beet', 'T2-3', 0, 25000, Method::Sown, '2026-05-19', '2026-05-19', '2026-07-20', '2026-08-10', 6.75, Standing::Planned, 0.4);

/* Outlets. The kitchens want nothing older than three days. */
$outlets = [
    new Outlet('boxes', 'Box shares', Weekday::Wednesday, 1, 4, null),
    new Outlet('stall', 'Saturday stall', Weekday::Saturday, 2, 4, null),
    new Outlet('kitchen-north', 'Kitchen at the Weir', Weekday::Wednesday, 3, 3, 3),
    new Outlet('kitchen-south', 'Kitchen Thornapple', Weekday::Friday, 3, 3, 3),
    new Outlet('farm-shop', 'Farm shop', Weekday::Friday, 4, 4, null),
];

/* Products: name, unit, price in cents, item => units; then per outlet: quantity at the height, first and last week. */
$rows = [
    ['head-lettuce', 'Head lettuce', 'head', 180, ['lettuce-head' => 1], ['boxes' => 25, 'stall' => 28, 'kitchen-north' => 6,
        'farm-shop' => 9], '05-30', '11-07'],
    ['salad-mix', 'Salad mix', 'bag of 150 g', 320, ['lettuce-leaf' => 0.9, 'arugula' => 0.3, 'mizuna' => 0.3], ['stall' => 38,
        'kitchen-north' => 16, 'kitchen-south' => 16, 'farm-shop' => 13], '05-23', '10-31'],
    ['spinach', 'Spinach', 'bag of 200 g', 300, ['spinach' => 2], ['stall' => 14, 'boxes' => 16], '05-13', '06-13'],
    ['spinach-autumn', 'Autumn spinach', 'bag of 200 g', 320, ['spinach-autumn' => 2], ['stall' => 15, 'kitchen-north' => 6], '09-26',
        '11-14'],
    ['arugula', 'Arugula', 'bag of 100 g', 240, ['arugula' => 1], ['stall' => 19, 'kitchen-south' => 13], '05-06', '10-30'],
    ['radish', 'Radishes', 'bunch', 200, ['radish' => 1], ['boxes' => 25, 'stall' => 25], '05-09', '10-24'],
    ['carrot-bunch', 'Bunched carrots', 'bunch', 280, ['carrot' => 1], ['boxes' => 25, 'stall' => 35, 'farm-shop' => 9], '07-04', '10-10'],
    ['carrot', 'Carrots', 'kg', 260, ['carrot-storage' => 10], ['boxes' => 14, 'stall' => 9, 'farm-shop' => 4], '10-14', '02-27'],
    ['beet-bunch', 'Bunched beets', 'bunch', 260, ['beet' => 1], ['stall' => 19, 'boxes' => 23], '06-20', '10-03'],
    ['beet', 'Beets', 'kg', 240, ['beet-storage' => 10], ['stall' => 4, 'boxes' => 6], '10-10', '02-20'],
    ['turnip', 'Spring turnips', 'bunch', 260, ['turnip' => 1], ['stall' => 14, 'kitchen-south' => 6], '05-27', '10-17'],
    ['kohlrabi', 'Kohlrabi', 'bulb', 150, ['kohlrabi' => 1], ['boxes' => 25, 'stall' => 19], '06-12', '10-24'],
    ['broccoli', 'Broccoli', 'head', 280, ['broccoli' => 1], ['boxes' => 25, 'stall' => 20], '07-08', '10-17'],
    ['cauliflower', 'Cauliflower', 'head', 350, ['cauliflower' => 1], ['stall' => 16, 'boxes' => 13], '07-15', '10-17'],
    ['cabbage-early', 'Pointed cabbage', 'head', 250, ['cabbage-early' => 1], ['boxes' => 13, 'stall' => 14], '07-08', '10-03'],
    ['cabbage', 'Storage cabbage', 'head', 300, ['cabbage-storage' => 1], ['boxes' => 5, 'stall' => 4], '10-14', '02-20'],
    ['kale', 'Kale', 'bunch', 240, ['kale' => 1], ['boxes' => 16, 'stall' => 11, 'farm-shop' => 4], '07-04', '12-05'],
    ['chard', 'Chard', 'bunch', 240, ['chard' => 1], ['boxes' => 23, 'stall' => 13], '06-27', '10-17'],
    ['scallion', 'Scallions', 'bunch', 180, ['scallion' => 1], ['boxes' => 25, 'stall' => 23, 'kitchen-north' => 8], '06-13', '10-31'],
    ['onion', 'Onions', 'kg', 240, ['onion' => 10], ['boxes' => 12, 'stall' => 8], '08-19', '02-27'],
    ['leek', 'Leeks', 'stalk', 90, ['leek' => 1], ['boxes' => 25, 'stall' => 20], '09-15', '02-27'],
    ['garlic', 'Garlic', 'bulb', 150, ['garlic' => 1], ['stall' => 14, 'boxes' => 19], '07-22', '11-28'],
    ['tomato', 'Tomatoes', 'kg', 420, ['tomato' => 10], ['boxes' => 15, 'stall' => 21, 'kitchen-south' => 4], '08-12', '10-03'],
    ['pepper', 'Sweet peppers', 'kg', 520, ['pepper' => 10], ['stall' => 7, 'boxes' => 4], '08-29', '10-03'],
    ['cucumber', 'Cucumbers', 'fruit', 160, ['cucumber' => 1], ['boxes' => 28, 'stall' => 32], '07-15', '09-12'],
    ['courgette', 'Summer squash', 'fruit', 80, ['squash-summer' => 1], ['boxes' => 44, 'stall' => 44, 'farm-shop' => 13], '07-22',
        '09-19'],
    ['squash', 'Winter squash', 'fruit', 380, ['squash-winter' => 1], ['boxes' => 6, 'stall' => 5], '09-30', '01-16'],
    ['bean', 'Bush beans', 'bag of 400 g', 360, ['bean-bush' => 4], ['stall' => 20, 'boxes' => 23], '07-25', '09-19'],
    ['pea', 'Snap peas', 'bag of 300 g', 340, ['pea' => 3], ['stall' => 16, 'boxes' => 20], '06-20', '07-18'],
    ['corn', 'Sweet corn', 'ear', 110, ['corn' => 1], ['stall' => 57, 'boxes' => 50], '08-15', '09-12'],
    ['potato-new', 'New potatoes', 'kg', 320, ['potato-early' => 10], ['boxes' => 19, 'stall' => 16], '07-22', '08-22'],
    ['potato', 'Potatoes', 'kg', 200, ['potato-storage' => 10], ['boxes' => 15, 'stall' => 11], '09-02', '02-27'],
    ['parsley', 'Parsley', 'bunch', 160, ['parsley' => 1], ['boxes' => 13, 'stall' => 15, 'kitchen-north' => 5], '08-01', '10-31'],
    ['basil', 'Basil', 'bunch', 200, ['basil' => 1], ['stall' => 16, 'kitchen-south' => 8], '07-15', '09-12'],
    ['fennel', 'Fennel', 'bulb', 180, ['fennel' => 1], ['stall' => 14, 'boxes' => 15], '07-15', '10-17'],
    ['asparagus', 'Asparagus', 'kg', 1200, ['asparagus' => 10], ['stall' => 4], '04-28', '06-13'],
    ['rhubarb', 'Rhubarb', 'kg', 380, ['rhubarb' => 10], ['stall' => 3, 'farm-shop' => 1], '04-28', '06-06'],
];
$byKey = [];
foreach ($outlets as $outlet) {
    $byKey[$outlet->key] = $outlet;
}
$products = [];
$promises = [];
foreach ($rows as [$key, $name, $unit, $price, $parts, $quantities, $first, $last]) {
    $products[] = new Product($key, $name, $unit, Money::fromCents($price), array_map(static fn (string $item,
        float|int $units): Part => new Part($item, (float) $units), array_keys($parts), $parts));
    $from = MonthDay::parse($first)->in(2026);
    $to = MonthDay::parse($last)->in(MonthDay::parse($last)->order() < MonthDay::parse($first)->order() ? 2027 : 2026);
    foreach ($quantities as $outlet => $most) {
        for ($day = $from; $day->number <= $to->number; $day = $day->plus(1)) {
            if (!$byKey[$outlet]->days->isOpenOn($day)) {
                continue;
            }
            $atEdge = min($day->since($from), $to->since($day)) < 14 ? 0.7 : 1.0;
            $inAugust = 8 === $day->month() && 'stall' === $outlet ? 1.25 : 1.0;
            $promises[] = new Promise($outlet, $key, $day, max(1.0, round($most * $atEdge * $inAugust * (0.95 + 0.1 * $chance->getInt(0,
                10) / 10))));
        }
    }
}
usort($promises, static fn (Promise $a, Promise $b): int => [$a->day->number, $a->outlet, $a->product] <=> [$b->day->number, $b->outlet,
    $b->product]);

$usual = Settings::usual();
$settings = new Settings(Units::Metric, 'EUR', [Weekday::Tuesday, Weekday::Friday], 'compost-mulch', array_map(floatval(...),
    $usual->rent), $usual->shortageFactor, $usual->keepingShare, $usual->wage, $usual->rotation, $usual->compostDepth,
    $usual->nitrogenRate, $usual->fertiliserNitrogen, ['tarp' => 250 * Length::METRE, 'row-cover' => 200 * Length::METRE,
        'hoops' => 100 * Length::METRE],
    new PlanRules(benches: new Benches(room: new TrayRoom(11, 4, 16))), map: new GroundMap([
        'A' => new BlockLay(0, 32, 0), 'B' => new BlockLay(23, 32, 0), 'C' => new BlockLay(46, 32, 0), 'D' => new BlockLay(0, 0, 0),
        'E' => new BlockLay(23, 0, 0), 'F' => new BlockLay(48, 3, 8), 'Tunnel 1' => new BlockLay(74, 32, 0),
        'Tunnel 2' => new BlockLay(77, 1, 0)], [
            new GroundMark(MarkKind::Path, 'Cart track', [[-2, 28.5], [92, 28.5]]),
            new GroundMark(MarkKind::Path, '', [[70, 60], [70, 28.5]]),
            new GroundMark(MarkKind::Water, 'Well', [[70, 25]]),
            new GroundMark(MarkKind::Water, 'Main', [[70, 25], [70, 30], [21, 30]]),
            new GroundMark(MarkKind::Building, 'Packing shed', [[88, 34], [98, 34], [98, 48], [88, 48]]),
        ]));
// A maritime-continental year with a July mean of 19 degrees C, made up like the rest.
$climate = PlaceClimate::fromMonths(MonthlyMeans::of([-3.0, -2.5, 0.5, 3.6, 8.0, 11.2, 13.0, 12.6, 9.2, 5.4, 1.2, -1.8], [3.2, 5.0, 10.3,
    15.2, 19.8, 22.9, 25.0, 24.5, 19.9, 14.2, 7.9, 4.0], [60.0, 55.0, 60.0, 65.0, 85.0, 95.0, 100.0, 90.0, 75.0, 65.0, 65.0, 65.0]), 46.9);
// Covers that go on every year, and what the garden knows better than the book.
$days = static fn (string $from, string $to): Period => Period::fromFirstToLast(Day::parse($from), Day::parse($to));
$covers = [
    Protection::overBed('B2', Cover::RowCover, Purpose::Insects, $days('2026-04-20', '2026-05-25')),
    Protection::overBed('T1-2', Cover::RowCover, Purpose::Frost, $days('2026-10-20', '2027-03-10')),
    Protection::overBed('T2-4', Cover::RowCover, Purpose::Frost, $days('2026-10-20', '2027-03-10')),
];
$own = [
    new OwnValue('lettuce-head', 'note_tolerance', 'Stands a hot week in block A, not in block E.'),
    new OwnValue('own-hollow-gold', 'days_transplanted', '44', 'our records of two seasons'),
    new OwnValue('own-hollow-gold', 'note_customers', 'The kitchens ask for it by colour.'),
    new OwnValue('own-hollow-gold', 'note_quality', 'Firm, small seed cavity; scratches easily.'),
    new OwnValue('own-hollow-gold', 'of', 'squash-summer'),
    new OwnValue('own-hollow-gold', 'variety', 'Hollow Gold'),
];
// A small crew, and what it does beside the plan.
$diary = new Diary([], [
    new Worker('Mika', [1 => 8.0, 2 => 8.0, 3 => 8.0, 4 => 8.0, 5 => 8.0, 6 => 4.0, 7 => 0.0]),
    new Worker('Jorun', [1 => 6.0, 2 => 6.0, 3 => 6.0, 4 => 6.0, 5 => 6.0, 6 => 0.0, 7 => 2.0], [$days('2026-08-10', '2026-08-16')]),
    new Worker('Sten', [1 => 0.0, 2 => 4.0, 3 => 4.0, 4 => 0.0, 5 => 4.0, 6 => 4.0, 7 => 0.0]),
], [
    new OwnJob('j1', 'Sharpen hoes and knives', '', Bears::Roof, 0.7, 7, Day::parse('2026-03-10'), 14),
    new OwnJob('j2', 'Fold boxes and print labels', '', Bears::Roof, 1.0, 3, Day::parse('2026-05-04'), 7, Day::parse('2026-11-27')),
    new OwnJob('j3', 'Cut the hedge along block F', 'F', Bears::Any, 5.0, 30, Day::parse('2026-07-06')),
], [new OwnCare('c1', 'tomato', 'Take off the lowest leaves', 'ground', 35, 14, true, 1.5),
    new OwnCare('c2', 'cabbage-storage', 'Count caterpillars on ten plants', 'ground', 21, 10, false, 0.5, 5.0)], [
    new SeedLot('s1', 'lettuce-head', 12.0, Day::parse('2026-06-29'), 2025, 0.9, 'Hollow Seeds', 5.0, 420, ''),
    new SeedLot('s2', 'arugula', 60.0, Day::parse('2026-06-29'), 2024, null, 'Hollow Seeds', 100.0, 850, 'roller with 24 holes, 2.5 cm'),
    new SeedLot('s3', 'carrot', 25.0, Day::parse('2026-06-29'), 2024, 0.62, 'Wendle & Daughters', 25.0, 1150,
        'roller with 36 holes, 1.8 cm'),
    new SeedLot('s4', 'leek', 4.0, Day::parse('2026-06-29'), 2022, null, 'Wendle & Daughters', 5.0, 690, ''),
    new SeedLot('s5', 'bean-bush', 900.0, Day::parse('2026-06-29'), 2025, 0.88, 'Wendle & Daughters', 1000.0, 1600, ''),
    new SeedLot('s6', 'radish', 80.0, Day::parse('2026-06-29'), 2025, null, 'Hollow Seeds', 100.0, 640, 'roller with 24 holes, 3 cm'),
]);
// The soil: two beds of E have had much compost, block F is acid, tunnel 2 is salty, the rest was tested block by block.
$tested = static fn (string $key, string $bed, string $block, float $ph, float $organic, float $p, float $k,
    ?float $salt = null): SoilTest => new SoilTest(
        $key, $bed, $block, Day::parse('2025-10-14'), Length::fromCentimetres(20), $ph, null, $organic, $p, Extract::Olsen, $k,
        Extract::AmmoniumNitrate, salt: $salt, saltBy: null === $salt ? null : SaltWay::OneToTwo, texture: Texture::Loam,
        words: 'Wendle Laboratory');
$feeds = static fn (string $key, string $name, Nutrients $percent, float $cents, Release $release, string $measure, float $step,
    ?float $stock,
    Heat $heat = Heat::NoManure, ?float $litre = null): ShedProduct => new ShedProduct($key, $name, $percent, $cents, $release, $heat,
        $measure, $step, $stock, $litre);
$bedsOf = static fn (string ...$names): array => array_values(array_map(static fn (Bed $b): string => $b->name, array_filter($beds,
    static fn (Bed $b): bool => in_array($b->block, $names, true))));
// Where the compost heap stood nearest, much of it went on.
$spreads = [];
foreach (['2023-03-28', '2024-03-26', '2025-03-25'] as $year => $day) {
    foreach (['E3', 'E4', 'T2-1', 'T2-2'] as $n => $bed) {
        $spreads[] = new Spread(sprintf('s%d/%s', $year * 4 + $n + 1, $day), $bed, Day::parse($day), 'Garden compost', 450.0,
            Nutrients::of(0.8, 0.4, 0.7),
            Release::Compost, Heat::Composted, Area::fromSquareMetres(18.75), Day::parse($day));
    }
}
$soil = new SoilBook([
    $tested('t1', '', 'A', 6.6, 4.1, 28.0, 210.0), $tested('t2', '', 'B', 6.5, 3.8, 22.0, 150.0), $tested('t3', '', 'C', 6.4, 3.6, 19.0,
        110.0),
    $tested('t4', '', 'D', 6.5, 3.9, 24.0, 170.0), $tested('t5', 'E3', '', 6.7, 6.2, 88.0, 320.0), $tested('t6', 'E4', '', 6.8, 6.0, 93.0,
        340.0),
    $tested('t7', '', 'F', 5.4, 3.2, 14.0, 95.0), $tested('t8', '', 'Tunnel 1', 6.8, 5.0, 41.0, 300.0, 0.7),
    $tested('t9', '', 'Tunnel 2', 6.9, 5.6, 52.0, 430.0, 2.2),
], [
    $feeds('compost', 'Garden compost', Nutrients::of(0.8, 0.4, 0.7), 4.0, Release::Compost, 'barrow', 50.0, null, Heat::Composted, 0.6),
    $feeds('feather', 'Feather meal', Nutrients::of(12.0, 0.0, 0.0), 165.0, Release::Meal, 'scoop', 0.4, 60.0),
    $feeds('pellets', 'Hen pellets', Nutrients::of(4.0, 3.0, 2.5), 48.0, Release::Meal, 'bucket', 6.0, 150.0, Heat::HeatTreated),
    $feeds('bone', 'Steamed bone meal', Nutrients::of(2.0, 20.0, 0.0), 120.0, Release::Meal, 'scoop', 0.5, 20.0),
    $feeds('sulphate', 'Potassium sulphate', Nutrients::of(0.0, 0.0, 50.0), 150.0, Release::Soluble, 'scoop', 0.6, 25.0),
], $spreads, [
    new Valve('v1', 'Upper field', $bedsOf('A', 'B', 'C'), 42.0, WaterWay::Overhead),
    new Valve('v2', 'Lower field', $bedsOf('D', 'E', 'F'), 38.0, WaterWay::Drip),
    new Valve('v3', 'Tunnels', $bedsOf('Tunnel 1', 'Tunnel 2'), 14.0, WaterWay::Drip, 2),
], new FeedRules(compost: CompostWay::None, sourceLitres: 900.0, sourceHours: 2.5));
// Where produce lies; what was left of last season in March.
$place = static fn (string $key, string $name, StoreKind $kind, float $celsius, int $humidity, ?int $crates): StorePlace => new StorePlace(
    $key, $name, $kind, $celsius, $humidity, $crates);
$left = static fn (string $day, string $bed, string $item, float $units, string $at, Flaw ...$flaws): HarvestLot => new HarvestLot(
    HarvestLot::code(Day::parse($day), $bed, $item), Day::parse($day), $item, $item, '', $bed, Grade::First, (int) round(100 * $units),
    flaws: array_values($flaws), place: $at);
$store = new StoreBook([
    $place('cold-room', 'Cold room', StoreKind::ColdRoom, 1.5, 95, 80), $place('clamp', 'Root clamp', StoreKind::Clamp, 4.0, 96, 70),
    $place('dry-room', 'Dry room', StoreKind::DryRoom, 13.0, 60, 60), $place('loft', 'Packing shed loft', StoreKind::Curing, 25.0, 60, 40),
], [
    $left('2025-07-18', 'F3', 'garlic', 150.0, 'dry-room'),
    $left('2025-09-08', 'B4', 'onion', 420.0, 'dry-room'), $left('2025-09-29', 'D2', 'squash-winter', 26.0, 'dry-room', Flaw::Bruised),
    $left('2025-10-14', 'C7', 'carrot-storage', 900.0, 'cold-room'), $left('2025-10-16', 'C9', 'beet-storage', 380.0, 'clamp', Flaw::Muddy),
    $left('2025-10-20', 'A11', 'potato-storage', 1100.0, 'clamp', Flaw::Wet),
        $left('2025-10-28', 'E2', 'cabbage-storage', 44.0, 'cold-room'),
], [], []);
// What the past crops gave: near what the book says, by chance, straight to market.
$crops = (new BookReader())->read((new CropBookFile(dirname(__DIR__).'/data/crops.csv'))->all());
$lots = $store->harvests;
foreach ($history as $past) {
    $crop = $crops->get($past->crop);
    $day = $past->cleared->plus(-$chance->getInt(0, 6));
    $units = floor($crop->produce->perMetre * 25 * $chance->getInt(60, 105) / 100);
    $lots[] = new HarvestLot(HarvestLot::code($day, $past->stretch->bed, $past->crop), $day, $past->crop, $past->crop, '',
        $past->stretch->bed, Grade::First, (int) (100 * $units), (int) ceil(60 * $units / 90));
}
usort($lots, static fn (HarvestLot $a, HarvestLot $b): int => [$a->day->number, $a->key] <=> [$b->day->number, $b->key]);
$store = new StoreBook($store->places, $lots, [], []);
// How the stall and the shop went in two seasons, what is ordered, what costs otherwise, and the boxes.
$sales = [];
foreach ([2, 1] as $ago) {
    $byDay = [];
    foreach ($promises as $promise) {
        if (in_array($promise->outlet, ['stall', 'farm-shop'], true)) {
            $byDay[$promise->outlet][$promise->day->plus(-364 * $ago)->number][$promise->product] = $promise->quantity;
        }
    }
    foreach ($byDay as $outlet => $days) {
        foreach ($days as $number => $products_) {
            $weather = [Weathering::Fair, Weathering::Fair, Weathering::Wet, Weathering::Fair, Weathering::Hot][crc32($number.'w') % 5];
            $sales[] = Stall::gone($outlet, Day::of($number), array_slice($products_, 0, 14), [], $weather, 26 + $ago, true);
        }
    }
}
$sales = array_values(array_filter($sales));
usort($sales, static fn (MarketDay $a, MarketDay $b): int => [$a->day->number, $a->outlet] <=> [$b->day->number, $b->outlet]);
$orders = [];
foreach ([['kitchen-north', 'scallion', '2026-06-17', 6], ['kitchen-north', 'head-lettuce', '2026-06-03', 4],
    ['kitchen-south', 'basil', '2026-07-17', 6]] as $n => [$outlet, $product, $day, $units]) {
    $orders[] = new Order('s'.($n + 1), $outlet, $product, Day::parse($day), (float) $units, OrderKind::Standing, Day::parse('2026-10-30'));
}
foreach ([['kitchen-south', 'arugula', '2026-07-24', 16], ['kitchen-south', 'turnip', '2026-07-24', 8],
    ['kitchen-north', 'parsley', '2026-08-05', 6], ['kitchen-south', 'tomato', '2026-08-14', 5]] as $n => [$outlet, $product, $day,
        $units]) {
    $orders[] = new Order('f'.($n + 1), $outlet, $product, Day::parse($day), (float) $units, who: $byKey[$outlet]->name);
}
$market = new MarketBook($orders, [new Terms('kitchen-north', 1, 18), new Terms('kitchen-south', 1, 18), new Terms('boxes', 2),
    new Terms('farm-shop', null, 24, 30)], [
        new Price('p1', 'kitchen-north', 'head-lettuce', Money::fromCents(150)),
        new Price('p2', 'stall', 'courgette', Money::fromCents(80), many: 3, forMany: Money::fromCents(200)),
        new Price('p3', 'stall', 'carrot-bunch', Money::fromCents(300), Day::parse('2026-07-01'), Day::parse('2026-07-31')),
        new Price('p4', 'stall', 'tomato', Money::fromCents(220), size: 'small'),
    ], $sales, [new BoxSize('small', 'boxes', 'Small', Money::fromCents(1200), [12, 12], ['turnip' => 3]), new BoxSize('large', 'boxes',
        'Large', Money::fromCents(1900), [8, 8], ['turnip' => 3])],
    mixes: [new MixRule('salad-mix', false, ['lettuce-leaf' => [0.2, 0.7], 'arugula' => [0.1, 0.5], 'mizuna' => [0.1, 0.5]])],
    gluts: [new GlutWay('g1', GlutKind::Processing, 'Wexcombe preserves', '', 30, 200), new GlutWay('g2', GlutKind::FreeChoice,
        'the free-choice bin', '', 10, 60)]);
$garden = new Garden('Larkspur Hollow', $today, new Place('Larkspur Hollow', 46.9, 310, MonthDay::parse('05-14'),
    MonthDay::parse('10-06')), $settings, $blocks, $beds, $history, $outlets, $products, $promises, $standing, [], $climate, $covers,
    $own, diary: $diary, soil: $soil, store: $store, market: $market);
file_put_contents(__DIR__.'/garden.json', (new GardenWriter())->write($garden));
fwrite(\STDERR, sprintf("%d beds, %d products, %d promises, %d plantings standing.\n", count($beds), count($products), count($promises),
    count($standing)));
