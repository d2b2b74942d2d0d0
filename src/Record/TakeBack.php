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
            $now = array_map($this->images->of(...), $change->images);
            $moved = array_filter($change->images, static fn (array $image, int $i): bool => !RowImages::same($now[$i], $image['after']), \ARRAY_FILTER_USE_BOTH);
            if ([] !== $moved) {
                throw MovedOn::rows($change->number, \count($moved));
            }
            $swapped = [];
            foreach ($change->images as $i => $image) {
                $this->images->restore($image['table'], $image['id'], $now[$i], $image['before']);
                $swapped[] = ['table' => $image['table'], 'id' => $image['id'], 'before' => $now[$i], 'after' => $this->images->of($image)];
            }
            if ([] !== $this->connection->fetchAllAssociative('PRAGMA foreign_key_check')) {
                throw MovedOn::inUse($change->number);
            }
            $number = $this->log->nextNumber($change->gardenId);
            $this->entities->persist(new Change($change->gardenId, $number, $accountId, $this->today->now()->getTimestamp(), 'Taken back: '.mb_substr($change->words, 0, 380), $swapped, $change->number));
            $change->takenBackBy($number);
        });
        $this->entities->clear();
    }
}
