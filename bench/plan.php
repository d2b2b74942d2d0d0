<?php

declare(strict_types=1);

/* Plans fixed gardens and tells the times as multiples of the reference loop. php bench/plan.php [runs] */

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/reference.php';
require __DIR__.'/gardens.php';

use App\Books\CropBookFile;
use App\Books\GardenBooks;
use App\Books\RecipeFile;
use App\Books\StoreTables;
use App\File\GardenReader;
use Doctrine\DBAL\DriverManager;
use JollyFurrow\Plan\Planner;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\HttpFoundation\RequestStack;

$runs = max(1, (int) ($argv[1] ?? 5));
$book = (new CropBookFile(dirname(__DIR__).'/data/crops.csv'))->load();
$recipes = (new RecipeFile(dirname(__DIR__).'/data/recipes.yaml'))->load();
$gardens = [
    'demo garden' => (new GardenReader(new GardenBooks(new CropBookFile(dirname(__DIR__).'/data/crops.csv'), new ArrayAdapter(),
        DriverManager::getConnection(['driver' => 'pdo_sqlite', 'memory' => true]), new RequestStack()), $recipes,
        new StoreTables(dirname(__DIR__).'/data')))->read((string) file_get_contents(dirname(__DIR__).'/demo/garden.json')),
    'demo-like: 28 crops, 40 beds' => bench_garden($book, 11, 28, 40, 1.6),
    'large: 60 crops, 200 beds' => bench_garden($book, 12, 60, 200, 6.0),
    'double: 60 crops, 400 beds' => bench_garden($book, 12, 60, 400, 12.0),
];
$planner = new Planner($book, $recipes);
printf("reference loop %.2f s of CPU time\n", reference_loop());
foreach ($gardens as $name => $garden) {
    $plan = $planner->draw($garden);
    // The loop is run before and after each drawing-up: machines are throttled in between.
    $ratios = array_map(static function () use ($planner, $garden): float {
        $before = reference_loop();
        $start = cpu_seconds();
        $planner->draw($garden);
        $time = cpu_seconds() - $start;

        return 2 * $time / ($before + reference_loop());
    }, range(1, $runs));
    printf("%-30s %5.2f loops (%.2f to %.2f)  %4d plantings  %5.1f %% kept  %d promises\n", $name, median($ratios), min($ratios),
        max($ratios), count($plan->new), 100 * $plan->keptShare(), count($garden->promises));
}
printf("peak memory %.0f MB\n", memory_get_peak_usage(true) / 1048576);
