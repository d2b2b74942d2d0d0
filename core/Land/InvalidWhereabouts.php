<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** Nowhere a garden can lie. */
final class InvalidWhereabouts extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notAPlace(string $quoted): self
    {
        return new self(Message::of(NoPlace::NotAPlace, text: $quoted));
    }

    public static function tooFar(string $quoted): self
    {
        return new self(Message::of(NoPlace::TooFar, text: $quoted));
    }

    public static function tooHigh(string $quoted): self
    {
        return new self(Message::of(NoPlace::TooHigh, text: $quoted));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
