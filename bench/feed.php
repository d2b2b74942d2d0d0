<?php

declare(strict_types=1);

/*
 * Times the choice of products, as a multiple of the reference loop, CPU time, median of nine: sixty doses in whole steps from
 * the sheds of tests/fixtures/shed, and the mixes of a block of fifteen beds. php bench/feed.php
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/reference.php';

use JollyFurrow\Measure\Area;
use JollyFurrow\Shed\BedNeed;
use JollyFurrow\Shed\BlockMixes;
use JollyFurrow\Shed\Kernel\Doses;
use JollyFurrow\Shed\ProductChoice;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\ShedProduct;

/** @var list<array{shed: list<array{gives: array{float, float, float}, cost: float, step: float, stock: float|null}>, need: array{float, float, float}, most: array{float, float, float}}> $instances */
$instances = json_decode((string) file_get_contents(__DIR__.'/../tests/fixtures/shed/instances.json'), true, flags: \JSON_THROW_ON_ERROR);
$doses = static function () use ($instances): void {
    foreach ($instances as $i) {
        (new Doses(array_column($i['shed'], 'gives'), array_map(floatval(...), array_column($i['shed'], 'cost')),
            array_map(floatval(...), array_column($i['shed'], 'step')), array_map(static fn (array $p): float => $p['stock'] ?? \INF, $i['shed']),
            $i['need'], $i['most']))->inWholeSteps();
    }
};
$shed = ProductChoice::from([new ShedProduct('a', 'a', Nutrients::of(12, 0, 0), 165.0, Release::Meal, step: 0.4),
    new ShedProduct('b', 'b', Nutrients::of(4, 3, 2.5), 48.0, Release::Meal, step: 6.0), new ShedProduct('c', 'c', Nutrients::of(2, 20, 0), 120.0),
    new ShedProduct('d', 'd', Nutrients::of(0, 0, 50), 150.0), new ShedProduct('e', 'e', Nutrients::of(0.8, 0.4, 0.7), 4.0, Release::Compost)]);
$beds = [];
for ($n = 0; $n < 15; ++$n) {
    $beds[] = new BedNeed('b'.$n, 'B'.$n, Area::fromSquareMetres(18.75), Nutrients::of(6 + $n % 5 * 2, $n % 3 * 3, 4 + $n % 4 * 3));
}
foreach (['60 doses in whole steps' => $doses, 'mixes of 15 beds' => static fn () => (new BlockMixes($shed))->of($beds)] as $name => $run) {
    $times = [];
    $before = reference_loop();
    for ($i = 0; $i < 9; ++$i) {
        $start = cpu_seconds();
        $run();
        $times[] = cpu_seconds() - $start;
    }
    printf("%-26s %.3f loops\n", $name, 2 * median($times) / ($before + reference_loop()));
}
