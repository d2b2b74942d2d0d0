<?php

declare(strict_types=1);

namespace App\Plan;

use App\Shared\Today;
use Doctrine\DBAL\Connection;

/** The drawings-up of a garden. One that was not seen at work for a minute died with its process, and is told so. */
final readonly class Runs
{
    public const SECONDS_WITHOUT_A_SIGN = 60;
    private const CUT_OFF = 'The last drawing-up was cut off before its end: its process was stopped. Nothing was changed; draw it up '
        .'anew.';

    public function __construct(private Connection $connection, private Today $today)
    {
    }

    /** @return array<string, mixed>|null the row of one run of the garden */
    public function find(string $gardenId, string $run): ?array
    {
        $this->tellTheDead($gardenId);

        return $this->connection->fetchAssociative('SELECT * FROM plan_run WHERE id = ? AND garden_id = ?', [$run, $gardenId]) ?: null;
    }

    /** @return array<string, mixed>|null the newest */
    public function newest(string $gardenId): ?array
    {
        $this->tellTheDead($gardenId);

        return $this->connection->fetchAssociative("SELECT * FROM plan_run WHERE garden_id = ? AND state <> 'waiting' ORDER BY "
            .'started_at DESC, id DESC LIMIT 1', [$gardenId]) ?: null;
    }

    /** Only one may begin it; what it is to draw up, null: it was begun already. */
    public function begin(string $gardenId, string $run): ?string
    {
        $began = $this->connection->executeStatement("UPDATE plan_run SET state = 'drawing', beat_at = ? WHERE id = ? AND garden_id = ? "
            ."AND state = 'waiting'", [$this->today->now()->getTimestamp(), $run, $gardenId]);
        $scope = 1 === $began ? $this->connection->fetchOne('SELECT scope FROM plan_run WHERE id = ?', [$run]) : null;

        return \is_string($scope) ? $scope : null;
    }

    public function stop(string $gardenId, string $run): void
    {
        $this->connection->update('plan_run', ['stop' => 1], ['id' => $run, 'garden_id' => $gardenId]);
    }

    public function progress(string $run): RunProgress
    {
        return new RunProgress($this->connection, $run, $this->today);
    }

    private function tellTheDead(string $gardenId): void
    {
        $dead = [$gardenId, $this->today->now()->getTimestamp() - self::SECONDS_WITHOUT_A_SIGN];
        $which = "garden_id = ? AND state = 'drawing' AND beat_at < ?";
        if (false !== $this->connection->fetchOne('SELECT 1 FROM plan_run WHERE '.$which, $dead)) {
            $this->connection->executeStatement("UPDATE plan_run SET state = 'failed', outcome = ? WHERE ".$which, [self::CUT_OFF,
                ...$dead]);
        }
    }
}
