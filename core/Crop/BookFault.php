<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Exception\BadInput;

/** A value of the crop book that cannot be used: which crop, which value, what would be right. */
final class BookFault extends \DomainException implements BadInput
{
    public static function missing(string $crop, string $value): self
    {
        return new self(\sprintf('Crop %s: the value "%s" is missing.', $crop, $value));
    }

    public static function noSource(string $crop, string $value): self
    {
        return new self(\sprintf('Crop %s, %s: a source kind is missing. Use published, practice, memory or model; published and memory name the source in the note.', $crop, $value));
    }

    public static function wrong(string $crop, string $value, string $is, string $right): self
    {
        return new self(\sprintf('Crop %s, %s: "%s" cannot be used; %s.', $crop, $value, $is, $right));
    }
}
