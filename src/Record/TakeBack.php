<?php

declare(strict_types=1);

namespace App\Record;

use App\Record\Entity\Change;
use App\Shared\Today;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Takes a change back: puts the rows' earlier images in place, if nothing has moved on since. */
final readonly class TakeBack
{
    public function __construct(private EntityManagerInterface $entities, private Connection $connection, private RowImages $images, private ChangeLog $log, private Today $today)
    {
    }

    /** @throws MovedOn when a later change has touched the same rows */
    public function takeBack(Change $change, string $accountId): void
    {
        if ($change->isTakenBack()) {
            throw MovedOn::alreadyTakenBack($change->number);
        }
        $this->entities->wrapInTransaction(function () use ($change, $accountId): void {
            $this->connection->executeStatement('PRAGMA defer_foreign_keys = ON');
            $moved = 0;
            $swapped = [];
            foreach ($change->images as $image) {
                $now = $this->images->of($image);
                if (!RowImages::same($now, $image['after'])) {
                    ++$moved;
                    continue;
                }
                $this->images->restore($image['table'], $image['id'], $now, $image['before']);
                $swapped[] = ['table' => $image['table'], 'id' => $image['id'], 'before' => $now, 'after' => $this->images->of($image)];
            }
            if ($moved > 0) {
                throw MovedOn::rows($change->number, $moved);
            }
            $number = $this->log->nextNumber($change->gardenId);
            $this->entities->persist(new Change($change->gardenId, $number, $accountId, $this->today->now()->getTimestamp(), 'Taken back: '.mb_substr($change->words, 0, 380), $swapped, $change->number));
            $change->takenBackBy($number);
        });
        $this->entities->clear();
    }
}
