<?php

declare(strict_types=1);

namespace App\Account;

use App\Rows\Account;
use App\Shared\Entry;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Opens accounts. */
final readonly class Accounts
{
    public function __construct(private EntityManagerInterface $entities, private UserPasswordHasherInterface $hasher)
    {
    }

    /** @param non-empty-string $email */
    public function open(string $email, string $name, #[\SensitiveParameter] string $password): Account
    {
        $account = new Account($email, $name);
        $account->takePassword($this->hasher->hashPassword($account, $password));
        $this->entities->persist($account);
        $this->entities->flush();

        return $account;
    }

    /** A new account from a form; null when something is wrong, which goes to the entry. */
    public function read(Entry $entry): ?Account
    {
        $email = mb_strtolower($entry->raw('email'));
        $name = $entry->text('name', 120);
        $password = Passwords::read($entry);
        if ('' === $email || mb_strlen($email) > 180 || false === filter_var($email, \FILTER_VALIDATE_EMAIL)) {
            $entry->fault('email', 'This is no e-mail address. Write one such as name@place.example.');
        } elseif (null !== $this->find($email)) {
            $entry->fault('email', 'There is an account with this address already. Sign in with it instead.');
        }

        return $entry->isGood() && '' !== $email ? $this->open($email, $name, $password) : null;
    }

    public function find(string $email): ?Account
    {
        return $this->entities->getRepository(Account::class)->findOneBy(['email' => $email]);
    }
}
