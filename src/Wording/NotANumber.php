<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;

/** A quantity that cannot be read. */
final class NotANumber extends \InvalidArgumentException implements BadInput
{
    public static function at(string $text, string $symbol): self
    {
        return new self(\sprintf('%s will not do. Write a number, in %s.', Quote::of($text), '' === $symbol ? 'figures' : $symbol));
    }
}
