<?php

declare(strict_types=1);

/* The jobs of a week of the large garden (200 beds), in the middle of its season,
    as multiples of the reference loop. php bench/week.php [runs] */

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/reference.php';
require __DIR__.'/gardens.php';

use App\Books\CareFile;
use App\Books\CropBookFile;
use App\Books\JobsFile;
use App\Books\RecipeFile;
use App\Books\StoreTables;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Work\CareCalendar;

const DAYS_IN = 140;

$runs = max(1, (int) ($argv[1] ?? 9));
$book = (new CropBookFile(dirname(__DIR__).'/data/crops.csv'))->load();
$recipes = (new RecipeFile(dirname(__DIR__).'/data/recipes.yaml'))->load();
$garden = bench_garden($book, 12, 60, 200, 6.0);
$today = $garden->today->plus(DAYS_IN);
$stands = static fn (Planting $p): Standing => match (true) {
    $p->clear->isBefore($today) => Standing::Cleared,
    $p->ground->isBefore($today) => Standing::Growing,
    $p->sow->isBefore($today) => Standing::InNursery,
    default => Standing::Planned,
};
$plantings = array_map(static fn (Planting $p): Planting => $p->but(standing: $stands($p)),
    $garden->with((new Planner($book, $recipes))->draw($garden)->plantings())->plantings->all());
$garden = $garden->with($plantings, $today);
$jobs = (new JobsFile(dirname(__DIR__).'/data/jobs.yaml', new StoreTables(dirname(__DIR__).'/data')))->load();
$care = (new CareFile(dirname(__DIR__).'/data/care.yaml'))->load();
$ratios = [];
$count = 0;
for ($run = 0; $run <= $runs; ++$run) {
    $before = reference_loop();
    $start = cpu_seconds();
    $week = WorkWeek::of(new Site($garden, $book, $recipes, $jobs, new CareCalendar($garden, $book, $recipes, $care), SoilDays::unknown()),
        TaskList::usual(), $today->week());
    $count = count($week->jobs());
    $ratios[] = 2 * (cpu_seconds() - $start) / ($before + reference_loop());
}
// The first run finds nothing remembered of the timing, as the first page of a day.
printf("%d plantings, %d jobs: %.3f loops (first run %.3f)\n", count($plantings), $count, median(array_slice($ratios, 1)), $ratios[0]);
