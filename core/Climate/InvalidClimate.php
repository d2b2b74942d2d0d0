<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

use JollyFurrow\Exception\BadInput;

final class InvalidClimate extends \RuntimeException implements BadInput
{
    public static function missing(string $month): self
    {
        return new self(\sprintf('%s has no values. Twelve months are needed: daily minimum, daily maximum, rain.', $month));
    }

    public static function impossible(string $month, float $min, float $max): self
    {
        return new self(\sprintf('%s: from %s to %s degrees C is not possible. Are these degrees Fahrenheit?', $month, $min, $max));
    }

    public static function upsideDown(string $month, float $min, float $max): self
    {
        return new self(\sprintf('%s: the minimum, %s, is not below the maximum, %s.', $month, $min, $max));
    }

    public static function rain(string $month, float $rain): self
    {
        return new self(\sprintf('%s: %s mm of rain in a month is not possible; write 0 to 1500.', $month, $rain));
    }

    /** @param non-empty-list<string> $months */
    public static function unknown(array $months): self
    {
        return new self(\sprintf('No year of the record has days of %s, so the climate of the year is not known. Take a record with '
            .'whole years, let these months be guessed, or type twelve monthly means.', implode(', ', $months)));
    }

    public static function tooShort(int $days): self
    {
        return new self(\sprintf('The record has %d usable days. At least a whole year is needed to speak of a climate; type twelve '
            .'monthly means until then.', $days));
    }
}
