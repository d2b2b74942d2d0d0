<?php

declare(strict_types=1);

namespace App\Log;

use App\Rows\Change;
use App\Rows\GardenRow;
use App\Shared\Today;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Every change of a garden is one numbered entry with the rows before and after; the change and its entry are
 * stored together or not at all.
 */
final readonly class ChangeLog
{
    public function __construct(private EntityManagerInterface $entities, private RowImages $images, private Today $today)
    {
    }

    /**
     * Runs the work, stores what it changed and writes the entry. Nothing changed: no entry.
     *
     * @template T
     *
     * @param callable(): T              $work
     * @param string|callable(T): string $words
     *
     * @return T
     */
    public function record(string $gardenId, string $accountId, string|callable $words, callable $work): mixed
    {
        return $this->entities->wrapInTransaction(function () use ($gardenId, $accountId, $words, $work): mixed {
            $result = $work();
            $touched = $this->touched($gardenId);
            $before = array_map(fn (array $row): ?array => $row['isNew'] ? null : $this->images->of($row), $touched);
            $this->entities->flush();
            $images = [];
            foreach ($touched as $i => $row) {
                $after = $this->images->of($row);
                if ($before[$i] !== $after) {
                    $images[] = ['table' => $row['table'], 'id' => $row['id'], 'before' => $before[$i], 'after' => $after];
                }
            }
            if ([] !== $images) {
                $text = \is_string($words) ? $words : $words($result);
                $this->entities->persist(new Change($gardenId, $this->nextNumber($gardenId), $accountId,
                    $this->today->now()->getTimestamp(), mb_substr($text, 0, 400), $images, null));
            }

            return $result;
        });
    }

    /** An entry in words only, for what cannot be taken back row by row. To be called inside a transaction. */
    public function note(string $gardenId, string $accountId, string $words): void
    {
        $this->entities->persist(new Change($gardenId, $this->nextNumber($gardenId), $accountId, $this->today->now()->getTimestamp(),
            mb_substr($words, 0, 400), [], null));
    }

    public function nextNumber(string $gardenId): int
    {
        $number = $this->connection()->fetchOne('SELECT COALESCE(MAX(number), 0) + 1 FROM log_entry WHERE garden_id = ?', [$gardenId]);

        return is_numeric($number) ? (int) $number : 1;
    }

    /** @return list<array{table: string, id: string, isNew: bool}> rows of this garden that wait to be written */
    private function touched(string $gardenId): array
    {
        $unit = $this->entities->getUnitOfWork();
        $unit->computeChangeSets();
        $rows = [];
        foreach ([...$unit->getScheduledEntityInsertions(), ...$unit->getScheduledEntityUpdates(),
            ...$unit->getScheduledEntityDeletions()] as $entity) {
            if (!$entity instanceof GardenRow) {
                continue;
            }
            if ($entity->gardenId !== $gardenId) {
                throw new \LogicException('A change of one garden may not touch another.');
            }
            $rows[] = ['table' => $this->entities->getClassMetadata($entity::class)->getTableName(), 'id' => $entity->id,
                'isNew' => $unit->isScheduledForInsert($entity)];
        }

        return $rows;
    }

    private function connection(): Connection
    {
        return $this->entities->getConnection();
    }
}
