<?php

declare(strict_types=1);

namespace App\Account;

use App\Rows\Account;
use App\Rows\GardenRow;
use App\Shared\Today;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** New passwords, by the old one or by a one-time link. Whoever was signed in with the old one elsewhere is signed out there. */
final readonly class Passwords
{
    private const HOURS = 24;

    public function __construct(private Connection $connection, private EntityManagerInterface $entities,
        private UserPasswordHasherInterface $hasher, private Today $today)
    {
    }

    public function isRight(Account $account, #[\SensitiveParameter] string $password): bool
    {
        return $this->hasher->isPasswordValid($account, $password);
    }

    public function set(Account $account, #[\SensitiveParameter] string $password): void
    {
        $account->takePassword($this->hasher->hashPassword($account, $password));
        $this->entities->flush();
        $this->connection->delete('password_link', ['account_id' => $account->id]);
    }

    /** @return string the secret of a new link; earlier ones of the account end */
    public function link(string $accountId): string
    {
        $secret = Secret::make();
        $this->connection->transactional(function () use ($accountId, $secret): void {
            $this->connection->delete('password_link', ['account_id' => $accountId]);
            $this->connection->insert('password_link', ['id' => GardenRow::newId(), 'account_id' => $accountId,
                'secret' => Secret::hash($secret), 'ends_at' => $this->today->now()->getTimestamp() + self::HOURS * 3600, 'used' => 0]);
        });

        return $secret;
    }

    public function whose(string $secret): ?Account
    {
        $id = $this->connection->fetchOne('SELECT account_id FROM password_link WHERE secret = ? AND used = 0 AND ends_at > ?',
            [Secret::hash($secret), $this->today->now()->getTimestamp()]);

        return \is_string($id) ? $this->entities->find(Account::class, $id) : null;
    }
}
