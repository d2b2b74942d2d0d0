<?php

declare(strict_types=1);

namespace App\Log;

use Doctrine\DBAL\Connection;

/** What waited on a device and may come twice is done once: the second time it is answered as the first. */
final readonly class Once
{
    /** Longest token a device makes. */
    public const TOKEN = 64;
    /** Seconds a token is known: nothing waits longer on a device that is used. */
    private const REMEMBERED = 180 * 86400;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * Inside an entry of the log.
     *
     * @param string            $token of the doing, the same however often it is sent; empty: it comes from a page
     * @param \Closure():string $work  says what was done
     *
     * @return array{string, bool} what was done, and whether that was before
     */
    public function done(string $gardenId, string $token, \Closure $work): array
    {
        $answer = '' === $token ? false : $this->connection->fetchOne('SELECT answer FROM received WHERE garden_id = ? AND token = ?',
            [$gardenId, $token]);
        if (\is_string($answer)) {
            return [$answer, true];
        }
        $words = $work();
        if ('' !== $token) {
            $this->connection->executeStatement('DELETE FROM received WHERE garden_id = ? AND at < ?', [$gardenId,
                time() - self::REMEMBERED]);
            $this->connection->insert('received', ['garden_id' => $gardenId, 'token' => $token, 'at' => time(), 'answer' => $words]);
        }

        return [$words, false];
    }
}
