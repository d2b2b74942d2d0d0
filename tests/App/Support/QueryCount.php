<?php

declare(strict_types=1);

namespace App\Tests\Support;

use Psr\Log\AbstractLogger;

/** Counts the statements the database library tells its logger of. */
final class QueryCount extends AbstractLogger
{
    public int $queries = 0;

    public function log($level, string|\Stringable $message, array $context = []): void
    {
        $this->queries += str_starts_with((string) $message, 'Executing') ? 1 : 0;
    }
}
