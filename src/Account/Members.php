<?php

declare(strict_types=1);

namespace App\Account;

use App\Links\LinkKind;
use App\Links\SecretLink;
use App\Links\SecretLinks;
use App\Log\ChangeLog;
use App\Rows\Account;
use App\Shared\Role;
use App\Shared\Visit;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Time\Day;

/** Who belongs to a garden and as what; inviting, changing, removing. A garden always keeps an owner. Each change is a line of the log. */
final readonly class Members
{
    public function __construct(private Connection $connection, private EntityManagerInterface $entities, private ChangeLog $log,
        private SecretLinks $links)
    {
    }

    /** @return list<array{id: string, name: string, email: string, role: Role}> owners first */
    public function of(string $gardenId): array
    {
        $rows = $this->connection->fetchAllAssociative('SELECT a.id, a.name, a.email, m.role FROM member m JOIN account a ON a.id = m.account_id WHERE m.garden_id = ? ORDER BY a.name, a.id', [$gardenId]);
        $members = array_map(static fn (array $row): array => ['id' => self::text($row['id']), 'name' => self::text($row['name']),
            'email' => self::text($row['email']), 'role' => Role::from(self::text($row['role']))], $rows);
        usort($members, static fn (array $a, array $b): int => array_search($a['role'], Role::cases(),
            true) <=> array_search($b['role'], Role::cases(), true));

        return $members;
    }

    /** @return list<array{id: string, note: string, role: Role, ends: Day}> still open */
    public function invitations(string $gardenId): array
    {
        return array_map(static fn (SecretLink $link): array => ['id' => $link->id, 'note' => $link->note,
            'role' => $link->role ?? Role::Reader, 'ends' => Day::of(intdiv($link->endsAt, 86400))],
            $this->links->ofGarden(LinkKind::Join, $gardenId));
    }

    /** @return string the secret of the link, shown once */
    public function invite(Visit $visit, Role $role, string $note): string
    {
        $words = \sprintf('%s invited as %s', '' === $note ? 'Somebody' : $note, $role->value);

        return $this->write($visit, $words, fn (): string => $this->links->make(LinkKind::Join, ['garden_id' => $visit->gardenId,
            'made_by' => $visit->accountId, 'role' => $role, 'note' => $note]));
    }

    public function withdraw(Visit $visit, string $invitation): void
    {
        $this->write($visit, 'An invitation withdrawn', fn () => $this->links->revoke(LinkKind::Join, $visit->gardenId, $invitation));
    }

    /** @return array{garden: string, garden_id: string, role: Role}|null what an open invitation is for */
    public function invitation(string $secret): ?array
    {
        $link = $this->openInvitation($secret);
        $name = null === $link ? false : $this->connection->fetchOne('SELECT name FROM garden WHERE id = ?', [$link->garden]);

        return null === $link || !\is_string($name) ? null
            : ['garden' => $name, 'garden_id' => (string) $link->garden, 'role' => $link->role ?? Role::Reader];
    }

    /**
     * Uses the invitation up, for one account. Who belongs to the garden already keeps the higher of both roles.
     *
     * @param callable(): Account $account opened in the same transaction, where there is none yet
     *
     * @return Account|null null: the invitation is open no longer, and no account was opened
     */
    public function accept(string $secret, callable $account): ?Account
    {
        return $this->entities->wrapInTransaction(function () use ($secret, $account): ?Account {
            $link = $this->openInvitation($secret);
            if (null === $link || !$this->links->use($link)) {
                return null;
            }
            $member = $account();
            $this->let($member, (string) $link->garden, $link->role ?? Role::Reader);

            return $member;
        });
    }

    /** @return string|null why not */
    public function become(Visit $visit, string $accountId, Role $role): ?string
    {
        return $this->change($visit, $accountId, $role, static fn (string $name): string => \sprintf('%s is %s now', $name,
            $role->value), fn () => $this->connection->update('member', ['role' => $role->value], ['garden_id' => $visit->gardenId,
            'account_id' => $accountId]));
    }

    /** @return string|null why not */
    public function remove(Visit $visit, string $accountId): ?string
    {
        return $this->change($visit, $accountId, null, static fn (string $name): string => $name.' does not belong to the garden any more', fn () => $this->connection->delete('member',
            ['garden_id' => $visit->gardenId, 'account_id' => $accountId]));
    }

    /** Every garden the member belongs to is one this owner owns too, so that a link to a new password opens nothing foreign. */
    public function ownsAllGardensOf(string $ownerId, string $accountId): bool
    {
        return false === $this->connection->fetchOne("SELECT 1 FROM member m WHERE m.account_id = ? AND NOT EXISTS (SELECT 1 FROM member o WHERE o.garden_id = m.garden_id AND o.account_id = ? AND o.role = 'owner')", [$accountId, $ownerId]);
    }

    public function name(string $gardenId, string $accountId): ?string
    {
        $name = $this->connection->fetchOne('SELECT a.name FROM member m JOIN account a ON a.id = m.account_id WHERE m.garden_id = ? AND m.account_id = ?', [$gardenId, $accountId]);

        return \is_string($name) ? $name : null;
    }

    /**
     * @param Role|null                $role  the new one; null: none
     * @param callable(string): string $words
     * @param callable(): mixed        $work
     */
    private function change(Visit $visit, string $accountId, ?Role $role, callable $words, callable $work): ?string
    {
        return $this->entities->wrapInTransaction(function () use ($visit, $accountId, $role, $words, $work): ?string {
            $now = $this->roleOf($visit->gardenId, $accountId);
            if (null === $now) {
                return 'This member has left the garden already.';
            }
            if (Role::Owner === $now && Role::Owner !== $role
                && 1 === (int) self::text($this->connection->fetchOne("SELECT COUNT(*) FROM member WHERE garden_id = ? AND role = 'owner'", [$visit->gardenId]))) {
                return 'A garden keeps at least one owner. Make somebody else an owner first.';
            }
            if ($now !== $role) {
                $this->log->note($visit->gardenId, $visit->accountId, $words((string) $this->name($visit->gardenId, $accountId)));
                $work();
                $this->links->revokePasswordLinks($accountId);
                if (Role::Owner === $now) {
                    $this->links->revokeInvitationsOf($visit->gardenId, $accountId);
                }
            }

            return null;
        });
    }

    /**
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     */
    private function write(Visit $visit, string $words, callable $work): mixed
    {
        return $this->entities->wrapInTransaction(function () use ($visit, $words, $work): mixed {
            $done = $work();
            $this->log->note($visit->gardenId, $visit->accountId, $words);

            return $done;
        });
    }

    /** An invitation holds as long as whoever made it is an owner. */
    private function openInvitation(string $secret): ?SecretLink
    {
        $link = $this->links->open(LinkKind::Join, $secret);

        return null !== $link && Role::Owner === $this->roleOf((string) $link->garden, (string) $link->madeBy) ? $link : null;
    }

    private function let(Account $account, string $gardenId, Role $role): void
    {
        $now = $this->roleOf($gardenId, $account->id);
        if (null === $now) {
            $this->connection->insert('member', ['garden_id' => $gardenId, 'account_id' => $account->id, 'role' => $role->value]);
        } elseif (!$now->mayDoWhat($role)) {
            $this->connection->update('member', ['role' => $role->value], ['garden_id' => $gardenId, 'account_id' => $account->id]);
        }
        $this->links->revokePasswordLinks($account->id);
        $this->log->note($gardenId, $account->id, \sprintf('%s joined as %s', $account->name(), $role->value));
    }

    private function roleOf(string $gardenId, string $accountId): ?Role
    {
        $role = $this->connection->fetchOne('SELECT role FROM member WHERE garden_id = ? AND account_id = ?', [$gardenId, $accountId]);

        return \is_string($role) ? Role::from($role) : null;
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }
}
