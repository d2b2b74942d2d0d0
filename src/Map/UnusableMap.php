<?php

declare(strict_types=1);

namespace App\Map;

/** A file no map can be read from; the message says what is wrong and what would be right. */
final class UnusableMap extends \RuntimeException
{
    public static function of(string $message): self
    {
        return new self($message);
    }
}
