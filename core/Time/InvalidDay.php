<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** No date there is. */
final class InvalidDay extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notADate(string $text): self
    {
        return new self(Message::of(BadDay::NotADate, text: Quote::of($text)));
    }

    public static function notInCalendar(string $text): self
    {
        return new self(Message::of(BadDay::NotInCalendar, text: Quote::of($text)));
    }

    public static function outOfRange(): self
    {
        return new self(Message::of(BadDay::OutOfRange, first: Limits::FIRST_YEAR, last: Limits::LAST_YEAR));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
