<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Books\StoreTables;
use App\Change\PlantingChanges;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Log\Once;
use App\Storage\StoreKeeper;
use App\Store\PlantingKeeper;
use App\Store\Snapshot;
use App\Wording\Sayer;
use Doctrine\DBAL\Connection;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\ReadyDays;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Hand\Noted;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\MayNotBePicked;
use JollyFurrow\Treatment\PickRule;

/** Keeps harvests: each makes its lot, and its planting is noted as picked; all of one going is one entry of the log. */
final readonly class Harvesting
{
    /** What should be cleared is offered so long, days. */
    private const GRACE = 60;

    public function __construct(private Snapshot $snapshot, private ChangeLog $log, private StoreKeeper $store,
        private PlantingKeeper $plantings, private CropBook $crops, private RecipeBook $recipes, private Connection $connection,
        private Sayer $sayer, private Once $once, private StoreTables $tables)
    {
    }

    /**
     * @param non-empty-list<HarvestLot> $drafts  their codes are given here
     * @param list<string>               $cleared keys of plantings nothing is left of
     * @param string                     $token   of what waited on a device and may come twice; empty: it comes from a page
     *
     * @return string what was kept, in words
     *
     * @throws MayNotBePicked
     * @throws Meanwhile
     */
    public function keep(string $gardenId, string $accountId, array $drafts, array $cleared = [],
        string $token = ''): string
    {
        return $this->log->record($gardenId, $accountId, static fn (string $words): string => $words, fn (): string => $this->once->done(
            $gardenId, $token, fn (): string => $this->harvested($gardenId, $drafts, $cleared))[0]);
    }

    /**
     * @param non-empty-list<HarvestLot> $drafts
     * @param list<string>               $cleared
     *
     * @throws MayNotBePicked
     */
    private function harvested(string $gardenId, array $drafts, array $cleared): string
    {
        $garden = $this->snapshot->of($gardenId);
        $lots = $notes = $words = [];
        $now = $garden;
        $rule = new PickRule($garden->sprays, $garden->soil);
        foreach ($drafts as $draft) {
            $rule->mustNotBeAgainst($draft->bed, $this->crops->grown($draft->item, $draft->variety), $draft->day);
            $lot = $garden->store->with($lots)->coded([$draft])[0];
            $lots[] = $lot;
            [$now, $note] = $this->picked($now, $lot, \in_array($lot->planting, $cleared, true));
            $notes = null === $note ? $notes : [...$notes, $note];
            $words[] = $this->said($lot);
        }
        $this->store->harvest($gardenId, $lots);
        $this->stored($gardenId, $garden, $now, $notes);

        return 'Harvested: '.implode('; ', \array_slice($words, 0, 4)).(\count($words) > 4 ? \sprintf(' and %d more',
            \count($words) - 4) : '');
    }

    /** @return array{Garden, FieldNote|null} */
    private function picked(Garden $garden, HarvestLot $lot, bool $isLast): array
    {
        $planting = $garden->plantings->get($lot->planting);
        if (null === $planting || $lot->use->isEarly() || !\in_array(Happening::Picked, FieldWork::possible($planting), true)) {
            return [$garden, null];
        }
        $note = new FieldNote($planting->key, Happening::Picked, $lot->day, null, $isLast ? 0.0 : null, $lot->units(), $lot->words);

        return [$garden->with($garden->plantings->with(...Noted::of($garden, $planting, $note, $this->crops, $this->recipes)->after())),
            $note];
    }

    /** @param list<FieldNote> $notes */
    private function stored(string $gardenId, Garden $was, Garden $now, array $notes): void
    {
        $old = $was->plantings->where(static fn (Planting $p): bool => $now->plantings->get($p->key) != $p)->all();
        $new = $now->plantings->where(static fn (Planting $p): bool => $was->plantings->get($p->key) != $p)->all();
        $this->plantings->replace($gardenId, $old, $new, PlantingChanges::beds($this->connection, $gardenId));
        $this->plantings->note($gardenId, $notes);
    }

    private function said(HarvestLot $lot): string
    {
        $crop = $this->crops->grown($lot->item, $lot->variety);

        return \sprintf('%s %s%s', $this->sayer->goods($crop->produce->goods($lot->units())), mb_strtolower($crop->name),
            '' === $lot->bed ? ''
            : ' from '.$lot->bed);
    }

    /** @return list<Planting> that can be picked about now, in walking order */
    public static function ready(Garden $garden, Day $until): array
    {
        $ready = $garden->plantings->where(static fn (Planting $p): bool => [] !== $p->pieces && !$until->isBefore($p->ready)
            && \in_array(Happening::Picked, FieldWork::possible($p), true) && !$p->clear->plus(self::GRACE)->isBefore($garden->today))
                ->all();

        return self::walked($garden, $ready);
    }

    /** @return list<Planting> that give something young before they are ready, in walking order */
    public function young(Garden $garden, Day $until): array
    {
        $table = $this->tables->readiness();
        $young = $garden->plantings->where(function (Planting $p) use ($garden, $until, $table): bool {
            if (Standing::Growing !== $p->standing || [] === $p->pieces || !$until->isBefore($p->ready)) {
                return false;
            }
            $crop = $this->crops->grown($p->item, $p->variety);
            $from = $table->earliest($crop);

            return $from < 1.0 && ReadyDays::of($garden, $p, $crop)->grown >= $from;
        });

        return self::walked($garden, $young->all());
    }

    /**
     * @param list<Planting> $plantings
     *
     * @return list<Planting> in walking order
     */
    private static function walked(Garden $garden, array $plantings): array
    {
        $order = array_flip(array_map(static fn ($bed): string => $bed->name, $garden->beds));
        usort($plantings, static fn (Planting $a, Planting $b): int => [$order[$a->pieces[0]->bed] ?? 0, $a->pieces[0]->from, $a->key]
            <=> [$order[$b->pieces[0]->bed] ?? 0, $b->pieces[0]->from, $b->key]);

        return $plantings;
    }
}
