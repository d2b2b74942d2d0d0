<?php

declare(strict_types=1);

namespace App\Plan;

use App\Shared\Today;
use Doctrine\DBAL\Connection;
use JollyFurrow\Joint\Progress;

/** Keeps the progress of a run in its row with the moment, so that a run that died is known, and reads there whether to stop. */
final readonly class RunProgress implements Progress
{
    public function __construct(private Connection $connection, private string $runId, private Today $today)
    {
    }

    public function at(int $done, int $of, string $item): bool
    {
        $this->connection->update('plan_run', ['state' => 'drawing', 'done' => $done, 'total' => $of, 'at' => $item,
            'beat_at' => $this->today->now()->getTimestamp()], ['id' => $this->runId]);

        return !(bool) $this->connection->fetchOne('SELECT stop FROM plan_run WHERE id = ?', [$this->runId]);
    }

    public function finished(string $outcome): void
    {
        $this->connection->update('plan_run', ['state' => 'done', 'outcome' => mb_substr($outcome, 0, 400)], ['id' => $this->runId]);
    }

    public function failed(string $why): void
    {
        $this->connection->update('plan_run', ['state' => 'failed', 'outcome' => mb_substr($why, 0, 400)], ['id' => $this->runId]);
    }
}
