<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Message\Message;

/** What a bed may be called: short, and fit for an address, where a slash would part it and two dots would lead elsewhere. */
final class BedName
{
    /** @return Message|null null: nothing is wrong */
    public static function fault(string $name): ?Message
    {
        return match (true) {
            '' === trim(mb_scrub($name)) => Message::of(BadName::Empty),
            mb_strlen($name) > Limits::BED_NAME => Message::of(BadName::Long, most: Limits::BED_NAME),
            1 !== preg_match('~^[^\p{C}\p{Zl}\p{Zp}/\\\\]+$~Du', $name), \in_array($name, ['.', '..'], true),
            trim($name) !== $name => Message::of(BadName::Signs, text: Quote::of($name)),
            default => null,
        };
    }

    public static function isGood(string $name): bool
    {
        return null === self::fault($name);
    }
}
