<?php

declare(strict_types=1);

namespace App\Record;

use Doctrine\DBAL\Connection;
use Twig\Attribute\AsTwigFunction;

/** The last change a person made in a garden that can still be taken back. */
final readonly class LastChange
{
    public function __construct(private Connection $connection)
    {
    }

    #[AsTwigFunction('last_change')]
    public function number(string $gardenId, string $accountId): ?int
    {
        $number = $this->connection->fetchOne("SELECT MAX(number) FROM log_entry WHERE garden_id = ? AND account_id = ? AND taken_back_by IS NULL AND images <> '[]'", [$gardenId, $accountId]);

        return is_numeric($number) ? (int) $number : null;
    }
}
