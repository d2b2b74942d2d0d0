<?php

declare(strict_types=1);

namespace App\Shared\Doctrine;

use Doctrine\DBAL\Driver\Exception as DriverException;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

/**
 * Transactions take the write lock at once. A deferred one that reads before it writes fails with "database is
 * locked" without waiting, when another process has written in between.
 */
final class SqliteConnection extends AbstractConnectionMiddleware
{
    public function beginTransaction(): void
    {
        $this->exec('BEGIN IMMEDIATE');
    }

    public function commit(): void
    {
        $this->exec('COMMIT');
    }

    public function rollBack(): void
    {
        $this->exec('ROLLBACK');
    }

    /** A full disk ends the transaction by itself: then there is nothing left to roll back, and the reason stays the one that is told. */
    public function exec(string $sql): int|string
    {
        try {
            return parent::exec($sql);
        } catch (DriverException $failed) {
            if (!str_starts_with($sql, 'ROLLBACK') || 1 !== preg_match('/no transaction is active|no such savepoint/',
                $failed->getMessage())) {
                throw $failed;
            }

            return 0;
        }
    }
}
