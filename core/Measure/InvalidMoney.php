<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;

final class InvalidMoney extends \InvalidArgumentException implements BadInput
{
    public static function notAnAmount(string $text): self
    {
        return new self(\sprintf('%s is not an amount of money. Write for example 2.50 (0 to 999999.99, two decimals at most).', Quote::of($text)));
    }
}
