<?php

declare(strict_types=1);

/*
 * The season wall of 200 beds and 600 plantings in a running demo: server time as a multiple of the reference loop, bytes,
 * elements, and the time of an edit with its dry run. PORT=8000 php bench/wall.php
 * With an argument it writes the garden file there instead of asking a server.
 */

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/reference.php';
require __DIR__.'/gardens.php';
require __DIR__.'/DemoVisit.php';

use App\Books\CropBookFile;
use App\Books\RecipeFile;
use App\File\GardenWriter;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;

const WALL_PLANTINGS = 600;

/**
 * Every planting long enough made two beside each other until there are so many.
 *
 * @param list<Planting> $plantings
 *
 * @return list<Planting>
 */
function halved(array $plantings, int $wanted): array
{
    $all = $plantings;
    foreach ($plantings as $n => $planting) {
        $piece = $planting->pieces[0];
        $middle = intdiv($piece->from + $piece->to, 2);
        if (count($all) >= $wanted || count($planting->pieces) > 1 || $piece->to - $piece->from < 4_000_000) {
            continue;
        }
        $all[$n] = $planting->but(pieces: [Stretch::of($piece->bed, $piece->from, $middle)]);
        $all[] = $planting->but(key: $planting->key.'9', pieces: [Stretch::of($piece->bed, $middle, $piece->to)]);
    }

    return array_values($all);
}

$folder = dirname(__DIR__).'/data';
$book = (new CropBookFile($folder.'/crops.csv'))->load();
$recipes = (new RecipeFile($folder.'/recipes.yaml'))->load();
$garden = bench_garden($book, 12, 60, 200, 6.0);
$garden = $garden->with(halved((new Planner($book, $recipes))->draw($garden)->new, WALL_PLANTINGS))->named('Bench wall '.getmypid());
$file = (new GardenWriter())->write($garden);
if (isset($argv[1])) {
    file_put_contents($argv[1], $file);
    exit(0);
}
$visit = new DemoVisit('http://127.0.0.1:'.(getenv('PORT') ?: '8000'));
$visit->send('/gardens/file', ['_token' => $visit->token('/gardens')], 'file', $file);
$home = preg_replace('#/wall$#', '', (string) parse_url($visit->location, \PHP_URL_PATH));
/** @param Closure(): mixed $ask @return float multiples of the reference loop */
$loops = static function (Closure $ask) use ($visit): float {
    $before = reference_loop();
    $times = array_map(static function () use ($ask, $visit): float {
        $ask();

        return $visit->seconds;
    }, range(1, 9));

    return 2 * median($times) / ($before + reference_loop());
};
foreach (['the wall' => '/wall', 'of a quarter' => '/wall?zoom=quarter'] as $name => $path) {
    $time = $loops(static fn (): string => $visit->get($home.$path));
    $page = $visit->get($home.$path);
    printf("%-24s %.3f loops  %5.1f kB gzipped  %5d elements  %d plantings drawn\n", $name, $time, $visit->bytes / 1024,
        preg_match_all('/<[a-z]/', $page), preg_match_all('/class="planting/', $page));
}
$page = $visit->get($home.'/wall');
1 === preg_match('/data-first="\d+" data-key="([^"]+)" data-day="(\d+)"/', $page, $found) || exit(1);
$fields = ['_token' => $visit->token($home.'/wall'), 'changes' => (string) json_encode([['do' => 'move', 'planting' => $found[1],
    'when' => gmdate('Y-m-d', 86_400 * ((int) $found[2] + 7))]]), 'beds' => '[]', 'zoom' => 'season', 'from' => '', 'season' => '2026'];
printf("%-24s %.3f loops\n", 'an edit, dry run included', $loops(static fn (): string => $visit->post($home.'/wall/try', $fields)));
printf("%-24s %.3f loops\n", 'where it may go', $loops(static fn (): string => $visit
    ->get($home.'/wall/places?planting='.urlencode($found[1]))));
