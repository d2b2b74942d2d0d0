<?php

declare(strict_types=1);

namespace App\Account;

use App\Log\ChangeLog;
use App\Rows\Account;
use App\Rows\GardenRow;
use App\Shared\Role;
use App\Shared\Today;
use App\Shared\Visit;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Time\Day;

/** Who belongs to a garden and as what; inviting, changing, removing. A garden always keeps an owner. Each change is a line of the log. */
final readonly class Members
{
    private const DAYS = 14;

    public function __construct(private Connection $connection, private EntityManagerInterface $entities, private ChangeLog $log,
        private Today $today)
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
        $rows = $this->connection->fetchAllAssociative('SELECT id, note, role, ends_at FROM invitation WHERE garden_id = ? AND used_by IS NULL AND ends_at > ? ORDER BY ends_at, id', [$gardenId, $this->now()]);

        return array_map(static fn (array $row): array => ['id' => self::text($row['id']), 'note' => self::text($row['note']),
            'role' => Role::from(self::text($row['role'])), 'ends' => Day::of(intdiv(is_numeric($row['ends_at']) ? (int) $row['ends_at']
            : 0, 86400))], $rows);
    }

    /** @return string the secret of the link, shown once */
    public function invite(Visit $visit, Role $role, string $note): string
    {
        $secret = Secret::make();
        $this->write($visit, \sprintf('%s invited as %s', '' === $note ? 'Somebody' : $note, $role->value), fn () => $this->connection->insert('invitation', ['id' => GardenRow::newId(), 'garden_id' => $visit->gardenId,
            'role' => $role->value, 'note' => $note, 'secret' => Secret::hash($secret), 'invited_by' => $visit->accountId,
            'ends_at' => $this->now() + self::DAYS * 86400]));

        return $secret;
    }

    public function withdraw(Visit $visit, string $invitation): void
    {
        $this->write($visit, 'An invitation withdrawn', fn () => $this->connection->delete('invitation',
            ['id' => $invitation, 'garden_id' => $visit->gardenId, 'used_by' => null]));
    }

    /** @return array{garden: string, garden_id: string, role: Role}|null what an open invitation is for */
    public function invitation(string $secret): ?array
    {
        $row = $this->connection->fetchAssociative('SELECT g.id, g.name, i.role FROM invitation i JOIN garden g ON g.id = i.garden_id WHERE i.secret = ? AND i.used_by IS NULL AND i.ends_at > ?', [Secret::hash($secret), $this->now()]);

        return false === $row ? null : ['garden' => self::text($row['name']), 'garden_id' => self::text($row['id']),
            'role' => Role::from(self::text($row['role']))];
    }

    /** Uses the invitation up. Who belongs to the garden already keeps the higher of both roles. */
    public function accept(string $secret, Account $account): bool
    {
        return $this->entities->wrapInTransaction(function () use ($secret, $account): bool {
            $to = $this->invitation($secret);
            if (null === $to) {
                return false;
            }
            $this->connection->update('invitation', ['used_by' => $account->id], ['secret' => Secret::hash($secret)]);
            $now = $this->roleOf($to['garden_id'], $account->id);
            if (null === $now) {
                $this->connection->insert('member', ['garden_id' => $to['garden_id'], 'account_id' => $account->id,
                    'role' => $to['role']->value]);
            } elseif (!$now->mayDoWhat($to['role'])) {
                $this->connection->update('member', ['role' => $to['role']->value], ['garden_id' => $to['garden_id'],
                    'account_id' => $account->id]);
            }
            $this->log->note($to['garden_id'], $account->id, \sprintf('%s joined as %s', $account->name(), $to['role']->value));

            return true;
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
            }

            return null;
        });
    }

    /** @param callable(): mixed $work */
    private function write(Visit $visit, string $words, callable $work): void
    {
        $this->entities->wrapInTransaction(function () use ($visit, $words, $work): void {
            $work();
            $this->log->note($visit->gardenId, $visit->accountId, $words);
        });
    }

    private function roleOf(string $gardenId, string $accountId): ?Role
    {
        $role = $this->connection->fetchOne('SELECT role FROM member WHERE garden_id = ? AND account_id = ?', [$gardenId, $accountId]);

        return \is_string($role) ? Role::from($role) : null;
    }

    private function now(): int
    {
        return $this->today->now()->getTimestamp();
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }
}
