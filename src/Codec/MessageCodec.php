<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Beds\Rule;
use JollyFurrow\Land\Unsuited;
use JollyFurrow\Maturity\Against;
use JollyFurrow\Maturity\Odds;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Code;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Remark;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/**
 * Messages that are kept with a planting, as open data: {"say": "rule.quarantined", "until": {"day": "2026-08-01"}}.
 * A bare text, as older files and databases hold it, is a remark as it was written.
 */
final class MessageCodec
{
    /** Enums by the word they are stored under; a renamed class must not lose what is stored. */
    private const ENUMS = ['rule' => Rule::class, 'unsuited' => Unsuited::class, 'remark' => Remark::class, 'against' => Against::class,
        'odds' => Odds::class, 'place' => PlaceType::class];

    /** @return array<string, mixed>|string */
    public static function values(Message $message): array|string
    {
        if (Remark::Written === $message->code) {
            return self::isText($message->values['words'] ?? null);
        }

        return ['say' => self::name($message->code), ...array_map(self::value(...), $message->values)];
    }

    /** Null: it says nothing that is known here. */
    public static function read(mixed $stored): ?Message
    {
        if (\is_string($stored)) {
            return '' === $stored ? null : Message::of(Remark::Written, words: $stored);
        }
        $code = \is_array($stored) && \is_string($stored['say'] ?? null) ? self::enum($stored['say']) : null;
        if (!$code instanceof Code || !\is_array($stored)) {
            return null;
        }
        unset($stored['say']);
        $values = [];
        foreach ($stored as $name => $value) {
            $read = self::readValue($value);
            if (null === $read) {
                return null;
            }
            $values[(string) $name] = $read;
        }

        return Message::of($code, ...$values);
    }

    private static function value(mixed $value): mixed
    {
        return match (true) {
            $value instanceof Day => ['day' => $value->iso()],
            $value instanceof Quantity => ['value' => $value->value, 'unit' => $value->unit->value],
            $value instanceof Message => self::values($value),
            $value instanceof \BackedEnum => ['word' => self::name($value)],
            \is_int($value), \is_string($value) => $value,
            default => throw new \LogicException('A remark holds a value that is not stored: '.get_debug_type($value)),
        };
    }

    private static function readValue(mixed $value): int|string|Day|Quantity|\BackedEnum|Message|null
    {
        if (\is_int($value) || \is_string($value)) {
            return $value;
        }
        if (!\is_array($value)) {
            return null;
        }
        $day = $value['day'] ?? null;
        $unit = $value['unit'] ?? null;
        $number = $value['value'] ?? null;

        return match (true) {
            \is_string($day) && 1 === preg_match('/^\d{4}-\d{2}-\d{2}$/', $day) => Day::parse($day),
            \is_string($unit) && null !== Unit::tryFrom($unit) && is_numeric($number) => Quantity::of((float) $number, Unit::from($unit)),
            \is_string($value['word'] ?? null) => self::enum($value['word']),
            default => self::read($value),
        };
    }

    private static function name(\BackedEnum $case): string
    {
        $word = array_search($case::class, self::ENUMS, true);

        return false === $word ? throw new \LogicException($case::class.' is not among the enums that are stored.') : $word.'.'.$case->value;
    }

    private static function enum(string $name): ?\BackedEnum
    {
        [$word, $case] = explode('.', $name, 2) + [1 => ''];

        return isset(self::ENUMS[$word]) ? self::ENUMS[$word]::tryFrom($case) : null;
    }

    private static function isText(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
