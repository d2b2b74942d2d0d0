<?php

declare(strict_types=1);

/* Plans the ten short gardens of tests/fixtures/joint and tells how far above the proved bound each lies. php bench/joint.php */

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/reference.php';

use JollyFurrow\Tests\Support\JointInstance;

$loop = median(array_map(static fn (): float => reference_loop(), range(1, 3)));
$gaps = [];
foreach (JointInstance::all() as $instance) {
    $start = cpu_seconds();
    $plan = $instance->planned();
    $gaps[] = $gap = 100 * ($plan->cost() / $instance->bound - 1);
    printf("seed %2d  %5.2f %% above the bound  %4.1f loops\n", $instance->seed, $gap, (cpu_seconds() - $start) / $loop);
}
sort($gaps);
printf("median %.2f %%, worst %.2f %%\n", median($gaps), end($gaps));
