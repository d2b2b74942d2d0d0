<?php

declare(strict_types=1);

namespace App\Store;

use App\Shared\Row;
use App\Shared\Today;
use Doctrine\DBAL\Connection;

/** Copies of a garden that ask "what if". A copy belongs to who made it; only members of both see them side by side. */
final readonly class WhatIfs
{
    /** They are all planned and held against each other on one page. */
    public const MOST = 4;

    public function __construct(private Connection $connection, private Today $today)
    {
    }

    public function add(string $copy, string $ofGarden, string $question): void
    {
        $this->connection->insert('what_if', ['garden_id' => $copy, 'of_garden' => $ofGarden, 'question' => mb_substr($question, 0, 120),
            'made' => $this->today->now()->getTimestamp()]);
    }

    /** @return array<string, string> what is asked, by garden, the earliest first: those the account is a member of */
    public function of(string $gardenId, string $accountId): array
    {
        $copies = [];
        foreach ($this->connection->fetchAllAssociative('SELECT w.garden_id, w.question FROM what_if w JOIN member m ON m.garden_id = '
            .'w.garden_id AND m.account_id = ? WHERE w.of_garden = ? ORDER BY w.made, w.garden_id', [$accountId, $gardenId]) as $values) {
            $row = new Row($values);
            $copies[$row->text('garden_id')] = $row->text('question');
        }

        return $copies;
    }

    /** The garden a copy was made of, where the account is a member of it; null: it is no such copy. */
    public function source(string $copy, string $accountId): ?string
    {
        $source = $this->connection->fetchOne('SELECT w.of_garden FROM what_if w JOIN member m ON m.garden_id = w.of_garden '
            .'AND m.account_id = ? WHERE w.garden_id = ?', [$accountId, $copy]);

        return \is_string($source) ? $source : null;
    }

    /** The copy with all that is in it. */
    public function drop(string $copy): void
    {
        $this->connection->executeStatement('DELETE FROM garden WHERE id = ? AND EXISTS (SELECT 1 FROM what_if w WHERE w.garden_id = ?)',
            [$copy, $copy]);
    }
}
