<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Exception\BadInput;

/** A change asked for by hand that cannot be made, with what would be possible; the field it concerns is named. */
final class CannotBeDone extends \RuntimeException implements BadInput
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function noRoom(string $bed, string $length, string $most): self
    {
        return new self('bed', \sprintf('Bed %s has no %s in one piece free all that time; %s.', $bed, $length, '' === $most ? 'nothing of it is' : 'at most '.$most.' are'));
    }

    public static function noSuchBed(string $bed): self
    {
        return new self('bed', \sprintf('There is no bed "%s". Choose one of the list.', $bed));
    }

    public static function outOfOrder(string $field, string $what): self
    {
        return new self($field, $what);
    }

    public static function pieceTooLong(string $whole): self
    {
        return new self('length', \sprintf('The planting is %s long; write a length below that.', $whole));
    }
}
