<?php

declare(strict_types=1);

namespace App\Log;

use App\Shared\Row;
use Doctrine\DBAL\Connection;
use Twig\Attribute\AsTwigFunction;

/** The last change a person made in a garden that can still be taken back, and the last one taken back that can be done again. */
final readonly class LastChange
{
    private const MINE = 'SELECT number, words, takes_back FROM log_entry WHERE garden_id = ? AND account_id = ? AND taken_back_by IS NULL '
        ."AND images <> '[]'";

    public function __construct(private Connection $connection)
    {
    }

    #[AsTwigFunction('last_change')]
    public function number(string $gardenId, string $accountId): ?int
    {
        return $this->found(self::MINE, $gardenId, $accountId)['number'] ?? null;
    }

    /** @return array{undo: array{number: int, words: string}|null, redo: array{number: int, words: string}|null} */
    public function told(string $gardenId, string $accountId): array
    {
        $last = $this->found(self::MINE, $gardenId, $accountId);

        return ['undo' => $this->found(self::MINE.' AND takes_back IS NULL', $gardenId, $accountId),
            'redo' => true === ($last['isBack'] ?? false) ? $last : null];
    }

    /** @return array{number: int, words: string, isBack: bool}|null */
    private function found(string $which, string $gardenId, string $accountId): ?array
    {
        $values = $this->connection->fetchAssociative($which.' ORDER BY number DESC LIMIT 1', [$gardenId, $accountId]);
        if (false === $values) {
            return null;
        }
        $row = new Row($values);

        return ['number' => $row->int('number'), 'words' => preg_replace('/^Taken back: /', '', $row->text('words')) ?? '',
            'isBack' => null !== $values['takes_back']];
    }
}
