<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** No share of a whole, or none that is allowed here. */
final class InvalidShare extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notOne(string $text): self
    {
        return new self(Message::of(BadMeasure::NotAShare, text: Quote::of($text)));
    }

    public static function outside(string $text, float $least, float $most): self
    {
        return new self(Message::of(BadMeasure::Outside, text: Quote::of($text), least: Quantity::of($least, Unit::Share),
            most: Quantity::of($most, Unit::Share)));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
