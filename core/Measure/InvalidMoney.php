<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** No amount of money. */
final class InvalidMoney extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notAnAmount(string $text): self
    {
        return new self(Message::of(BadMeasure::NotMoney, text: Quote::of($text)));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
