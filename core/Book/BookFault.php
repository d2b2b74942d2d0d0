<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;

/** A value of the crop book that cannot be used: which crop, which value, what would be right. */
final class BookFault extends \DomainException implements BadInput
{
    private function __construct(public readonly string $crop, public readonly string $value, public readonly string $words)
    {
        parent::__construct(\sprintf('Crop %s, %s: %s', $crop, $value, $words));
    }

    public static function missing(string $crop, string $value): self
    {
        return new self($crop, $value, \sprintf('the value "%s" is missing.', $value));
    }

    public static function needs(string $crop, string $value, string $right): self
    {
        return new self($crop, $value, $right.'.');
    }

    public static function noSource(string $crop, string $value): self
    {
        return new self($crop, $value,
            'a source kind is missing. Use published, practice, memory or model; published and memory name the source in the note.');
    }

    public static function wrong(string $crop, string $value, string $is, string $right): self
    {
        return new self($crop, $value, \sprintf('%s cannot be used; %s.', Quote::of($is), $right));
    }
}
