<?php

declare(strict_types=1);

namespace App\Links;

use App\Shared\Role;

/** A link that lets in whoever holds it. Only the hash of its secret is stored. */
final readonly class SecretLink
{
    /**
     * @param string|null $garden  the garden it is of
     * @param string|null $account whom it is for
     * @param string|null $madeBy  null: the server made it
     * @param int         $endsAt  seconds since 1970
     */
    public function __construct(
        public string $id,
        public LinkKind $kind,
        public ?string $garden,
        public ?string $account,
        public ?string $madeBy,
        public ?Role $role,
        public string $note,
        public int $endsAt,
    ) {
    }

    /** @param array<string, mixed> $row */
    public static function of(array $row): self
    {
        $text = static fn (string $name): ?string => \is_string($row[$name] ?? null) ? $row[$name] : null;

        return new self((string) $text('id'), LinkKind::from((string) $text('kind')), $text('garden_id'), $text('account_id'),
            $text('made_by'), Role::tryFrom((string) $text('role')), (string) $text('note'),
            is_numeric($row['ends_at'] ?? null) ? (int) $row['ends_at'] : 0);
    }
}
