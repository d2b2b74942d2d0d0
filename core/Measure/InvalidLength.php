<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** No length, or none that is allowed here. */
final class InvalidLength extends \InvalidArgumentException implements Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function notALength(string $text): self
    {
        return new self(Message::of(BadMeasure::NotALength, text: Quote::of($text), long: Quantity::long(Length::fromMetres(25)),
            short: Quantity::short(Length::fromCentimetres(75))));
    }

    public static function unknownUnit(string $unit): self
    {
        return new self(Message::of(BadMeasure::UnknownUnit, unit: Quote::of($unit)));
    }

    /** @param bool $isShort told in centimetres or inches */
    public static function outside(string $text, Length $least, Length $most, bool $isShort): self
    {
        return new self(Message::of(BadMeasure::Outside, text: Quote::of($text), least: self::told($least, $isShort),
            most: self::told($most, $isShort)));
    }

    public static function outOfRange(int $micrometres): self
    {
        return new self(Message::of(BadMeasure::NoSuchLength, length: Quantity::of($micrometres / Length::METRE, Unit::Metre),
            most: Quantity::of(Length::LONGEST / Length::METRE, Unit::Metre)));
    }

    private static function told(Length $length, bool $isShort): Quantity
    {
        return $isShort ? Quantity::short($length) : Quantity::long($length);
    }

    public function said(): Message
    {
        return $this->said;
    }
}
