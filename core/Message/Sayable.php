<?php

declare(strict_types=1);

namespace JollyFurrow\Message;

/** A value a message can speak of: a day, a quantity, goods, money. How it is written is the application's matter. */
interface Sayable
{
    /** For the log and for tests: plain, metric, ISO. */
    public function logged(): string;
}
