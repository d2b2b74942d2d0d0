<?php

declare(strict_types=1);

namespace App\Shared\Doctrine;

use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

final class SqliteDriver extends AbstractDriverMiddleware
{
    private const WAIT_MS = 15000;

    public function connect(#[\SensitiveParameter] array $params): Connection
    {
        $connection = parent::connect($params);
        $connection->exec('PRAGMA busy_timeout = '.self::WAIT_MS);
        $connection->exec('PRAGMA foreign_keys = ON');
        $connection->exec('PRAGMA journal_mode = WAL');
        $connection->exec('PRAGMA synchronous = FULL');

        return new SqliteConnection($connection);
    }
}
