<?php

declare(strict_types=1);

namespace App\Account;

use App\Shared\Role;
use Symfony\Component\Validator\Constraints as Assert;

/** Whom an invitation is for, as it is typed. */
final class Invitee
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $note = '';
    public Role $role = Role::Hand;
}
