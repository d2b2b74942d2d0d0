<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** No mass, or none that is allowed here. */
final class InvalidMass extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notOne(string $text): self
    {
        return new self(Message::of(BadMeasure::NotAMass, text: Quote::of($text)));
    }

    public static function outside(string $text, Mass $least, Mass $most): self
    {
        return new self(Message::of(BadMeasure::Outside, text: Quote::of($text), least: Quantity::mass($least),
            most: Quantity::mass($most)));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
