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
     * As it is typed; null when something is wrong, which is told at the form.
     *
     * @param FormInterface<mixed> $form
     */
    public function openAsTyped(FormInterface $form, NewAccount $typed): ?Account
    {
        $email = mb_strtolower($typed->email);
        if (null !== $this->find($email)) {
            Forms::fault($form, 'email', 'There is an account with this address already. Sign in with it instead.');
        }

        return $form->isValid() && '' !== $email ? $this->open($email, $typed->name, $typed->password) : null;
    }

    public function find(string $email): ?Account
    {
        return $this->entities->getRepository(Account::class)->findOneBy(['email' => $email]);
    }
}
