<?php

declare(strict_types=1);

namespace App\Account;

/** The account of the demo garden; it exists only where the demo was loaded. */
final class DemoAccount
{
    public const EMAIL = 'demo@larkspur-hollow.example';
    public const PASSWORD = 'furrow-by-furrow';
    public const NAME = 'Demo grower';
}
