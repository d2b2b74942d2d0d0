<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;

final class InvalidMonthDay extends \InvalidArgumentException implements BadInput
{
    public static function notADay(string $text): self
    {
        return new self(\sprintf('%s is not a day of the year. Write month-day, for example 05-12.', Quote::of($text)));
    }
}
