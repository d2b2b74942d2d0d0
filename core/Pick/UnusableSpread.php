<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

/** Wants that cannot be spread over days. */
final class UnusableSpread extends \InvalidArgumentException
{
    public static function noHours(string $source): self
    {
        return new self(\sprintf('Picking "%s" takes no time. Give it hours above 0.', $source));
    }
}
