<?php

declare(strict_types=1);

namespace App\Plan;

use App\Change\PlantingChanges;
use App\Log\ChangeLog;
use App\Proposal\Proposals;
use App\Store\PlantingKeeper;
use App\Store\Snapshot;
use App\Wording\Sayer;
use Doctrine\DBAL\Connection;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Joint\Progress;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\PlanDifference;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Scope;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Proposal\Proposal;

/** Draws up the plan of a stored garden, as a proposal or kept at once as one change. */
final readonly class DrawUp
{
    public function __construct(private Snapshot $snapshot, private Planner $planner, private PlantingKeeper $plantings,
        private ChangeLog $log, private Proposals $proposals, private CropBook $book, private Connection $connection, private Sayer $sayer)
    {
    }

    /**
     * Draws up and opens what came of it as a proposal; nothing of the plan is changed yet.
     *
     * @param string $what "": the whole garden; "product:KEY"; "block:NAME"
     *
     * @return string what came of it, in words
     */
    public function propose(string $gardenId, string $accountId, string $what, Progress $progress): string
    {
        $garden = $this->snapshot->of($gardenId);
        $scope = self::scope($garden, $what);
        $now = $this->planner->asItStands($garden);
        $drawn = $this->planner->draw($garden, $progress, $scope);
        $proposal = Proposal::between($garden, $now, $drawn, $this->book, $scope);
        $this->proposals->open($gardenId, $accountId, $scope->words, $now, $drawn, $proposal);
        $words = \sprintf('%s; %s %% of the promised units kept', PlanDifference::between($garden->plantings->all(),
            $drawn->plantings())->words(), number_format(100 * $drawn->keptShare(), 1));

        return ucfirst($words).($drawn->stoppedEarly ? '. Stopped early: what was not reached is not planned.' : '.');
    }

    /** Draws up the whole and keeps it at once. @return string what it changes, in words */
    public function drawAndKeep(string $gardenId, string $accountId, Progress $progress): string
    {
        $garden = $this->snapshot->of($gardenId);

        return ucfirst($this->keep($gardenId, $accountId, $garden, $this->planner->draw($garden, $progress))).'.';
    }

    /** @return array<string, string> what can be drawn up, in words */
    public static function scopes(Garden $garden): array
    {
        $scopes = ['' => 'the whole garden'];
        foreach ($garden->products as $product) {
            $scopes['product:'.$product->key] = 'what '.$product->name.' needs';
        }
        foreach ($garden->blocks as $block) {
            $scopes['block:'.$block] = 'the beds of block '.$block;
        }

        return $scopes;
    }

    private static function scope(Garden $garden, string $what): Scope
    {
        foreach ($garden->products as $product) {
            if ('product:'.$product->key === $what) {
                return Scope::product($product);
            }
        }

        return str_starts_with($what, 'block:') ? Scope::block($garden, substr($what, 6)) : Scope::whole();
    }

    /** @return string what it changes, in words */
    public function keep(string $gardenId, string $accountId, Garden $garden, Plan $plan): string
    {
        $words = \sprintf('%s; %s %% of the promised units kept', PlanDifference::between($garden->plantings->all(),
            $plan->plantings())->words(), number_format(100 * $plan->keptShare(), 1));
        $this->log->record($gardenId, $accountId, 'Plan drawn up: '.$words, fn () => $this->plantings->replace($gardenId,
            $garden->plantings->all(), $plan->plantings(), PlantingChanges::beds($this->connection, $gardenId)));

        return $words;
    }

    /** One planting more, as a change of its own. */
    public function add(string $gardenId, string $accountId, Planting $planting, string $name): void
    {
        $words = \sprintf('%s planned on bed %s, to be sown on %s', $name, $planting->pieces[0]->bed,
            $this->sayer->shortDay($planting->sow));
        $this->log->record($gardenId, $accountId, $words, fn () => $this->plantings->replace($gardenId, [], [$planting],
            PlantingChanges::beds($this->connection, $gardenId)));
    }
}
