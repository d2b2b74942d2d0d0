<?php

declare(strict_types=1);

/* Adds one so many times, reading before writing, through the application's own connection set-up. Prints the sum. */

use App\Shared\Doctrine\SqliteMiddleware;
use Doctrine\DBAL\Configuration;
use Doctrine\DBAL\DriverManager;

require dirname(__DIR__, 3).'/vendor/autoload.php';

[, $file, $rounds] = $argv;
$configuration = new Configuration();
$configuration->setMiddlewares([new SqliteMiddleware()]);
$connection = DriverManager::getConnection(['driver' => 'pdo_sqlite', 'path' => $file], $configuration);
$connection->executeStatement('CREATE TABLE IF NOT EXISTS total (sum INTEGER NOT NULL)');
$read = static function () use ($connection): int {
    $sum = $connection->fetchOne('SELECT sum FROM total');

    return is_numeric($sum) ? (int) $sum : 0;
};
if (false === $connection->fetchOne('SELECT sum FROM total')) {
    $connection->insert('total', ['sum' => 0]);
}
for ($i = 0; $i < (int) $rounds; ++$i) {
    $connection->transactional(static function () use ($connection, $read): void {
        $sum = $read();
        usleep(200);
        $connection->executeStatement('UPDATE total SET sum = ?', [$sum + 1]);
    });
}
echo $read();
