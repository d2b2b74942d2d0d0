<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;
use JollyFurrow\Time\Day;

/** A change asked for by hand that cannot be made, with what would be possible; the field it concerns is named. */
final class CannotBeDone extends \RuntimeException implements Refusal
{
    private function __construct(public readonly string $field, private readonly Message $said)
    {
        parent::__construct($field.': '.$said->logged());
    }

    public static function of(string $field, NotDone $why, string|Day|Quantity|\BackedEnum ...$values): self
    {
        return new self($field, Message::of($why, ...$values));
    }

    public static function noRoom(string $bed, Length $wanted, Length ...$free): self
    {
        $most = [] === $free ? 0 : max(array_map(static fn (Length $length): int => $length->micrometres, $free));

        return 0 === $most
            ? self::of('bed', NotDone::NothingFree, bed: $bed, wanted: Quantity::long($wanted))
            : self::of('bed', NotDone::NoRoom, bed: $bed, wanted: Quantity::long($wanted),
                most: Quantity::long(Length::fromMicrometres($most)));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
