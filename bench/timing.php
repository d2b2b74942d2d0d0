<?php

declare(strict_types=1);

/* Times the ready date of every crop, place type, method and day of a year, as a multiple of the reference loop. */

use App\Books\GardenBooks;
use App\File\GardenReader;
use App\Kernel;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/reference.php';

$_SERVER['APP_ENV'] = $_ENV['APP_ENV'] = 'test';
$_SERVER['APP_SECRET'] = $_ENV['APP_SECRET'] = 'bench';
$_SERVER['JOLLY_FURROW_DATA'] = $_ENV['JOLLY_FURROW_DATA'] = sys_get_temp_dir();
$_SERVER['DEFAULT_URI'] = $_ENV['DEFAULT_URI'] = 'http://localhost';
$kernel = new Kernel('test', false);
$kernel->boot();
$services = $kernel->getContainer()->get('test.service_container');
assert($services instanceof Psr\Container\ContainerInterface);
[$books, $reader] = [$services->get(GardenBooks::class), $services->get(GardenReader::class)];
assert($books instanceof GardenBooks && $reader instanceof GardenReader);
$book = $books->shipped();
$garden = $reader->read((string) file_get_contents(dirname(__DIR__).'/demo/garden.json'));
$loop = median(array_map(static fn (): float => reference_loop(), range(1, 3)));
$times = [];
for ($round = 0; $round < 5; ++$round) {
    $start = cpu_seconds();
    $timing = new LocalTiming($garden->climate->weather($garden->place->latitude, $garden->today));
    $count = 0;
    foreach ($book->all() as $crop) {
        foreach (PlaceType::cases() as $place) {
            $ripening = $timing->of($crop, Cover::usualOf($place));
            foreach ($crop->methods() as $method) {
                for ($day = $garden->today->number; $day < $garden->today->number + 365; ++$day, ++$count) {
                    $ripening->forward($day, $method);
                }
            }
        }
    }
    $times[] = cpu_seconds() - $start;
}
printf("%d ready dates: %.3f loops (one loop %.2f s)\n", $count, median($times) / $loop, $loop);
