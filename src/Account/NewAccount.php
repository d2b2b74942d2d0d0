<?php

declare(strict_types=1);

namespace App\Account;

use Symfony\Component\Validator\Constraints as Assert;

/** An account as it is typed. */
class NewAccount extends NewPassword
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    #[Assert\NotBlank(message: 'This is no e-mail address. Write one such as name@place.example.')]
    #[Assert\Email(message: 'This is no e-mail address. Write one such as name@place.example.')]
    #[Assert\Length(max: 180, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $email = '';
}
