<?php

declare(strict_types=1);

namespace App\Plan;

use App\Garden\Snapshot;
use App\Record\ChangeLog;
use Doctrine\DBAL\Connection;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\PlanDifference;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Planting;
use JollyFurrow\Plan\Progress;

/** Draws up the plan of a stored garden and keeps it as one change. */
final readonly class DrawUp
{
    public function __construct(private Snapshot $snapshot, private Planner $planner, private PlantingKeeper $plantings, private ChangeLog $log, private Connection $connection)
    {
    }

    /** @return string what came of it, in words */
    public function draw(string $gardenId, string $accountId, Progress $progress): string
    {
        $garden = $this->snapshot->of($gardenId);
        $plan = $this->planner->draw($garden, $progress);
        $words = $this->keep($gardenId, $accountId, $garden, $plan);

        return $plan->stoppedEarly ? $words.'. Stopped early: what was not reached is not planned' : $words;
    }

    /** @return string what it changes, in words */
    public function keep(string $gardenId, string $accountId, Garden $garden, Plan $plan): string
    {
        $words = \sprintf('%s; %s %% of the promised units kept', PlanDifference::between($garden->plantings, $plan->plantings())->words(), number_format(100 * $plan->keptShare(), 1));
        $this->log->record($gardenId, $accountId, 'Plan drawn up: '.$words, fn () => $this->plantings->replace($gardenId, $garden->plantings, $plan->plantings(), PlantingChanges::beds($this->connection, $gardenId)));

        return $words;
    }

    /** One planting more, as a change of its own. */
    public function add(string $gardenId, string $accountId, Planting $planting, string $name): void
    {
        $words = \sprintf('%s planned on bed %s, to be sown on %s', $name, $planting->pieces[0]->bed, $planting->sow->iso());
        $this->log->record($gardenId, $accountId, $words, fn () => $this->plantings->replace($gardenId, [], [$planting], PlantingChanges::beds($this->connection, $gardenId)));
    }
}
