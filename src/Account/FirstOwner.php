<?php

declare(strict_types=1);

namespace App\Account;

use App\Links\LinkKind;
use App\Links\SecretLinks;
use App\Rows\Account;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** The first account of an installation: opened with a code that only whoever starts the server sees, once, and never again. */
final readonly class FirstOwner
{
    public function __construct(private Connection $connection, private EntityManagerInterface $entities, private SecretLinks $links,
        private Accounts $accounts)
    {
    }

    /** @phpstan-impure somebody may be faster */
    public function isWanted(): bool
    {
        return false === $this->connection->fetchOne('SELECT 1 FROM account');
    }

    /** @return string|null a new code, which ends the earlier ones; null: there is an account already */
    public function code(): ?string
    {
        return $this->entities->wrapInTransaction(function (): ?string {
            if (!$this->isWanted()) {
                return null;
            }
            $this->links->revokeAll(LinkKind::First);

            return $this->links->make(LinkKind::First);
        });
    }

    public function isRight(string $code): bool
    {
        return null !== $this->links->open(LinkKind::First, $code);
    }

    /** Null: somebody was faster, or the code is open no longer; nothing is kept. */
    public function open(string $code, NewAccount $typed): ?Account
    {
        return $this->entities->wrapInTransaction(function () use ($code, $typed): ?Account {
            $link = $this->links->open(LinkKind::First, $code);

            return null !== $link && $this->isWanted() && $this->links->use($link) ? $this->accounts->openTyped($typed) : null;
        });
    }
}
