<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

/** Day of the week, ISO 8601 number. */
enum Weekday: int
{
    case Monday = 1;
    case Tuesday = 2;
    case Wednesday = 3;
    case Thursday = 4;
    case Friday = 5;
    case Saturday = 6;
    case Sunday = 7;

    public function short(): string
    {
        return substr($this->name, 0, 3);
    }
}
