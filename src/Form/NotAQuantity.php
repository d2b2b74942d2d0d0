<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Exception\Quote;
use JollyFurrow\Measure\BadMeasure;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** A quantity outside what is allowed at its field. */
final class NotAQuantity extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function outside(string $text, Quantity $least, Quantity $most): self
    {
        return new self(Message::of(BadMeasure::Outside, text: Quote::of($text), least: $least, most: $most));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
