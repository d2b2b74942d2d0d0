<?php

declare(strict_types=1);

namespace App\Account;

use App\Links\LinkKind;
use App\Links\SecretLink;
use App\Links\SecretLinks;
use App\Rows\Account;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** New passwords, by the old one or by a one-time link. Whoever was signed in with the old one elsewhere is signed out there. */
final readonly class Passwords
{
    public function __construct(private Connection $connection, private EntityManagerInterface $entities,
        private UserPasswordHasherInterface $hasher, private SecretLinks $links, private Members $members)
    {
    }

    public function isRight(Account $account, #[\SensitiveParameter] string $password): bool
    {
        return $this->hasher->isPasswordValid($account, $password);
    }

    public function set(Account $account, #[\SensitiveParameter] string $password): void
    {
        $hash = $this->hasher->hashPassword($account, $password);
        $this->entities->wrapInTransaction(function () use ($account, $hash): void {
            $account->takePassword($hash);
            $this->links->revokePasswordLinks($account->id);
            $this->connection->delete('rememberme_token', ['username' => $account->getUserIdentifier()]);
        });
    }

    /** By a link; false: it is open no longer, and nothing is changed. */
    public function setBy(string $secret, #[\SensitiveParameter] string $password): bool
    {
        return $this->entities->wrapInTransaction(function () use ($secret, $password): bool {
            [$link, $account] = $this->opened($secret);
            if (null === $link || null === $account || !$this->links->use($link)) {
                return false;
            }
            $this->set($account, $password);

            return true;
        });
    }

    /**
     * @param string|null $madeBy the owner who hands it out; null: the server
     *
     * @return string the secret of a new link; earlier ones of the account end
     */
    public function link(string $accountId, ?string $madeBy): string
    {
        return $this->entities->wrapInTransaction(function () use ($accountId, $madeBy): string {
            $this->links->revokePasswordLinks($accountId);

            return $this->links->make(LinkKind::Password, ['account_id' => $accountId, ...null === $madeBy ? [] : ['made_by' => $madeBy]]);
        });
    }

    public function whose(string $secret): ?Account
    {
        return $this->opened($secret)[1];
    }

    /** @return array{SecretLink|null, Account|null} both null when the link is open no longer, or its maker may not hand it out any more */
    private function opened(string $secret): array
    {
        $link = $this->links->open(LinkKind::Password, $secret);
        if (null === $link || (null !== $link->madeBy && !$this->members->ownsAllGardensOf($link->madeBy, (string) $link->account))) {
            return [null, null];
        }

        return [$link, $this->entities->find(Account::class, $link->account)];
    }
}
