<?php

declare(strict_types=1);

namespace App\Account;

use Symfony\Component\Validator\Constraints as Assert;

/** A new password, typed twice. */
class NewPassword
{
    #[Assert\Length(min: 10, max: 200, minMessage: 'Take at least {{ limit }} characters; a short sentence is best.', maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $password = '';
    #[Assert\EqualTo(propertyPath: 'password', message: 'These are not the same. Type the new password once more.')]
    public string $again = '';
}
