<?php

declare(strict_types=1);

/* A fresh container and a fresh database, in a folder of its own and made by the migrations, for every run. */

use App\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\Filesystem\Filesystem;

require dirname(__DIR__).'/vendor/autoload.php';

(new Filesystem())->remove(dirname(__DIR__).'/var/cache/test');
$folder = dirname(__DIR__).'/var/test-data';
foreach (glob($folder.'/*.sqlite*') ?: [] as $old) {
    unlink($old);
}
foreach (['APP_SECRET' => 'for-tests-only', 'JOLLY_FURROW_DATA' => $folder, 'JOLLY_FURROW_DEMO' => '1', 'DEFAULT_URI' => 'http://localhost', 'JOLLY_FURROW_TODAY' => '2026-03-02'] as $name => $value) {
    $_SERVER[$name] = $_ENV[$name] = $value;
}
$application = new Application(new Kernel('test', false));
$application->setAutoExit(false);
$output = new BufferedOutput();
if (0 !== $application->run(new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true]), $output)) {
    fwrite(\STDERR, $output->fetch());
    exit(1);
}
