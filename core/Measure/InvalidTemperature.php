<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** No temperature, or none that is allowed here. */
final class InvalidTemperature extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notOne(string $text): self
    {
        return new self(Message::of(BadMeasure::NotATemperature, text: Quote::of($text), warm: Quantity::of(24.0, Unit::Celsius),
            cold: Quantity::of(-2.5, Unit::Celsius)));
    }

    public static function outside(string $text, float $least, float $most): self
    {
        return new self(Message::of(BadMeasure::Outside, text: Quote::of($text), least: Quantity::of($least, Unit::Celsius),
            most: Quantity::of($most, Unit::Celsius)));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
