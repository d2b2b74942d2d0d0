<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** No day of every year. */
final class InvalidMonthDay extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notADay(string $text): self
    {
        return new self(Message::of(BadDay::NotADayOfTheYear, text: Quote::of($text)));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
