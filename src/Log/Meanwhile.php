<?php

declare(strict_types=1);

namespace App\Log;

use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** Somebody else changed what a form was filled in for. The typing is kept, and the question asked again. */
final class Meanwhile extends \RuntimeException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function changed(string $what): self
    {
        return new self(Message::of(MeanwhileSaid::Changed, what: $what));
    }

    public static function notPossible(string|Message $why): self
    {
        return new self($why instanceof Message ? $why : Message::of(MeanwhileSaid::NotPossible, why: $why));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
