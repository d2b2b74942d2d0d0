<?php

declare(strict_types=1);

namespace App\Plan;

use App\Garden\Snapshot;
use App\Record\ChangeLog;
use Doctrine\DBAL\Connection;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Planting;
use JollyFurrow\Plan\Progress;

/** Draws up the plan of a stored garden and keeps it as one change. */
final readonly class DrawUp
{
    public function __construct(private Snapshot $snapshot, private Planner $planner, private PlantingKeeper $plantings, private ChangeLog $log, private Connection $connection)
    {
    }

    public function draw(string $gardenId, string $accountId, Progress $progress): Plan
    {
        $garden = $this->snapshot->of($gardenId);

        return $this->keep($gardenId, $accountId, $garden, $this->planner->draw($garden, $progress));
    }

    public function keep(string $gardenId, string $accountId, Garden $garden, Plan $plan): Plan
    {
        $stays = array_map(static fn (Planting $p): string => $p->key, $plan->kept);
        $all = array_map(static fn (Planting $p): string => $p->key, $garden->plantings);
        $words = \sprintf('Plan drawn up: %d plantings new, %d left as they were, %s %% of the promised units kept', \count($plan->new), \count($plan->kept), number_format(100 * $plan->keptShare(), 1));

        return $this->log->record($gardenId, $accountId, $words, function () use ($gardenId, $all, $stays, $plan): Plan {
            $this->plantings->drop($gardenId, array_values(array_diff($all, $stays)));
            $this->plantings->keep($gardenId, $plan->new, $this->beds($gardenId));

            return $plan;
        });
    }

    /** @return array<string, string> bed name => id */
    private function beds(string $gardenId): array
    {
        /** @var array<string, string> $beds */
        $beds = $this->connection->fetchAllKeyValue('SELECT name, id FROM bed WHERE garden_id = ?', [$gardenId]);

        return $beds;
    }
}
