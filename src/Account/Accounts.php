<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Entity\Account;
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

    public function find(string $email): ?Account
    {
        return $this->entities->getRepository(Account::class)->findOneBy(['email' => $email]);
    }
}
