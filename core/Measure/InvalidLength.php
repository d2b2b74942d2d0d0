<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;

final class InvalidLength extends \InvalidArgumentException implements BadInput
{
    public static function notALength(string $text): self
    {
        return new self(\sprintf('%s is not a length. Write a number with a unit, for example 25 m, 75 cm, 30 in or 2.5 ft.', Quote::of($text)));
    }

    public static function unknownUnit(string $unit): self
    {
        return new self(\sprintf('The unit %s is not known here. Use mm, cm, m, in or ft.', Quote::of($unit)));
    }

    public static function outside(string $text, float $least, float $most): self
    {
        return new self(\sprintf('%s is outside what is allowed here: %s m to %s m.', Quote::of($text), self::plain($least), self::plain($most)));
    }

    public static function outOfRange(float $metres): self
    {
        return new self(\sprintf('%s m is no length a garden can have. It must lie between 0 and 10000 m.', self::plain($metres)));
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');
    }
}
