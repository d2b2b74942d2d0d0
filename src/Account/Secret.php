<?php

declare(strict_types=1);

namespace App\Account;

/** A one-time secret of a link; only its hash is stored. */
final class Secret
{
    public static function make(): string
    {
        return rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
    }

    public static function hash(string $secret): string
    {
        return hash('sha256', $secret);
    }
}
