<?php

declare(strict_types=1);

namespace App\Links;

use App\Rows\GardenRow;
use App\Shared\Role;
use App\Shared\Today;
use Doctrine\DBAL\Connection;

/**
 * Links with a secret, of every kind: made, opened, used and revoked in this one place. A link is open while it is not
 * revoked, its time is not over and it was used less often than it may be. Whether its maker may still hand it out is for
 * those to say who made it so (Members, Passwords).
 */
final readonly class SecretLinks
{
    private const OPEN = 'revoked_at IS NULL AND uses < most_uses AND ends_at > ?';

    public function __construct(private Connection $connection, private Today $today)
    {
    }

    /**
     * @param array{garden_id?: string, account_id?: string, made_by?: string, role?: Role, note?: string} $of
     *
     * @return string the secret, which is not to be had again
     */
    public function make(LinkKind $kind, array $of = []): string
    {
        $secret = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        $now = $this->now();
        $role = ($of['role'] ?? null)?->value;
        $this->connection->insert('secret_link', [...$of, 'role' => $role, 'id' => GardenRow::newId(), 'kind' => $kind->value,
            'secret' => self::hash($secret), 'made_at' => $now, 'ends_at' => $now + $kind->seconds(), 'most_uses' => $kind->mostUses()]);

        return $secret;
    }

    /** Null: there is no such link, or it is open no longer. */
    public function open(LinkKind $kind, string $secret): ?SecretLink
    {
        return $this->found('kind = ? AND secret = ?', [$kind->value, self::hash($secret)])[0] ?? null;
    }

    /** The same, of a link into a garden: shut when who made it is a member no longer. */
    public function openOfMember(LinkKind $kind, string $secret): ?SecretLink
    {
        $link = $this->open($kind, $secret);
        $isMember = null !== $link?->garden && false !== $this->connection->fetchOne(
            'SELECT 1 FROM member WHERE garden_id = ? AND account_id = ?', [$link->garden, $link->madeBy ?? '']);

        return $isMember ? $link : null;
    }

    /** Counts one use, in the transaction of what it is used for. False: somebody was faster, and it is used up. */
    public function use(SecretLink $link): bool
    {
        return 1 === $this->connection->executeStatement('UPDATE secret_link SET uses = uses + 1 WHERE id = ? AND '.self::OPEN,
            [$link->id, $this->now()]);
    }

    /** @return list<SecretLink> the open ones, which end first */
    public function ofGarden(LinkKind $kind, string $gardenId): array
    {
        return $this->found('kind = ? AND garden_id = ?', [$kind->value, $gardenId]);
    }

    public function revoke(LinkKind $kind, string $gardenId, string $id): void
    {
        $this->end('kind = ? AND garden_id = ? AND id = ?', [$kind->value, $gardenId, $id]);
    }

    /** Invitations into a garden by somebody who is no owner of it any more. */
    public function revokeInvitationsOf(string $gardenId, string $madeBy): void
    {
        $this->end('kind = ? AND garden_id = ? AND made_by = ?', [LinkKind::Join->value, $gardenId, $madeBy]);
    }

    /** Links to a new password: the account set one, or it left, joined or began a garden since they were made. */
    public function revokePasswordLinks(string $accountId): void
    {
        $this->end('kind = ? AND account_id = ?', [LinkKind::Password->value, $accountId]);
    }

    public function revokeAll(LinkKind $kind): void
    {
        $this->end('kind = ?', [$kind->value]);
    }

    private static function hash(string $secret): string
    {
        return hash('sha256', $secret);
    }

    /**
     * @param list<string> $values
     *
     * @return list<SecretLink>
     */
    private function found(string $where, array $values): array
    {
        $rows = $this->connection->fetchAllAssociative('SELECT * FROM secret_link WHERE '.$where.' AND '.self::OPEN.' ORDER BY ends_at, id',
            [...$values, $this->now()]);

        return array_map(SecretLink::of(...), $rows);
    }

    /** @param list<string> $values */
    private function end(string $where, array $values): void
    {
        $this->connection->executeStatement('UPDATE secret_link SET revoked_at = ? WHERE '.$where.' AND revoked_at IS NULL',
            [$this->now(), ...$values]);
    }

    private function now(): int
    {
        return $this->today->now()->getTimestamp();
    }
}
