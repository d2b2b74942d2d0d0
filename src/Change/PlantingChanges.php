<?php

declare(strict_types=1);

namespace App\Change;

use App\Diary\DiaryKeeper;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Store\PlantingKeeper;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;

/**
 * Keeps a change of some plantings as one entry of the log. The garden is read again under the write lock: what
 * somebody else changed meanwhile, or what has become impossible, is asked about and not overwritten.
 */
final readonly class PlantingChanges
{
    public function __construct(private Snapshot $snapshot, private ChangeLog $log, private PlantingKeeper $plantings,
        private CropBook $book, private Connection $connection, private DiaryKeeper $diary)
    {
    }

    /**
     * @param array<string, string>         $seen   marks of the plantings as the person saw them, by key
     * @param callable(Garden): Replacement $change
     *
     * @throws Meanwhile
     */
    public function keep(string $gardenId, string $accountId, array $seen, callable $change): Replacement
    {
        return $this->log->record($gardenId, $accountId, static fn (Replacement $r): string => $r->words, function () use ($gardenId,
            $seen, $change): Replacement {
            $garden = $this->snapshot->of($gardenId);
            $this->check($garden, $seen);
            $replacement = $change($garden);
            $this->mustBePossible($garden, $replacement);
            $this->plantings->replace($gardenId, $replacement->old, $replacement->new, self::beds($this->connection, $gardenId));
            $this->plantings->note($gardenId, $replacement->notes);
            $this->diary->carry($gardenId, $replacement->old, $replacement->new);

            return $replacement;
        });
    }

    /** @return array<string, string> bed name => id */
    public static function beds(Connection $connection, string $gardenId): array
    {
        /** @var array<string, string> $beds */
        $beds = $connection->fetchAllKeyValue('SELECT name, id FROM bed WHERE garden_id = ?', [$gardenId]);

        return $beds;
    }

    /** @param array<string, string> $seen */
    private function check(Garden $garden, array $seen): void
    {
        $now = [];
        foreach ($garden->plantings as $planting) {
            $now[$planting->key] = $planting;
        }
        foreach ($seen as $key => $mark) {
            if (!isset($now[$key]) || PlantingMark::of($now[$key]) !== $mark) {
                throw Meanwhile::changed(isset($now[$key]) ? $this->book->get($now[$key]->item)->name.' on bed '.$now[$key]->pieces[0]->bed : 'The planting');
            }
        }
    }

    private function mustBePossible(Garden $garden, Replacement $replacement): void
    {
        $gone = array_flip(array_map(static fn (Planting $p): string => $p->key, $replacement->old));
        $after = $garden->with([...$garden->plantings->where(static fn (Planting $p): bool => !isset($gone[$p->key])),
            ...$replacement->new]);
        $hard = (new Conflicts($this->book))->hard($after, ...array_map(static fn (Planting $p): string => $p->key, $replacement->new));
        if ([] !== $hard) {
            throw Meanwhile::notPossible($hard[0]->message);
        }
    }
}
