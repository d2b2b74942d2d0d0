<?php

declare(strict_types=1);

namespace App\Account;

use App\Form\Forms;
use App\Rows\Account;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Form\FormInterface;
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

    /**
     * Whether an account can be opened as typed; what is wrong is told at the form.
     *
     * @param FormInterface<mixed> $form
     */
    public function isGood(FormInterface $form, NewAccount $typed): bool
    {
        if (null !== $this->find(mb_strtolower($typed->email))) {
            Forms::fault($form, 'email', 'There is an account with this address already. Sign in with it instead.');
        }

        return $form->isValid() && '' !== $typed->email;
    }

    public function openTyped(NewAccount $typed): Account
    {
        $email = mb_strtolower($typed->email);
        \assert('' !== $email);

        return $this->open($email, $typed->name, $typed->password);
    }

    public function find(string $email): ?Account
    {
        return $this->entities->getRepository(Account::class)->findOneBy(['email' => $email]);
    }
}
