<?php

declare(strict_types=1);

namespace App\Account;

/** The first account as it is typed, with the code from the server's window. */
final class FirstAccount extends NewAccount
{
    public string $code = '';
}
