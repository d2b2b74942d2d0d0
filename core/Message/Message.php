<?php

declare(strict_types=1);

namespace JollyFurrow\Message;

/**
 * Something to be said, without its words: a code and the values it speaks of, by name. Text among the values is a name
 * somebody gave (a bed, a crop, a reason typed in), never a sentence of ours.
 *
 * @phpstan-type Value int|string|Sayable|\BackedEnum|Message|list<\BackedEnum|Message>
 */
final readonly class Message
{
    /** @param array<string, Value> $values */
    private function __construct(public Code $code, public array $values)
    {
    }

    /** @param Value ...$values */
    public static function of(Code $code, int|string|Sayable|\BackedEnum|self|array ...$values): self
    {
        $named = [];
        foreach ($values as $name => $value) {
            $named[(string) $name] = $value;
        }

        return new self($code, $named);
    }

    /** For the log and for tests: the code, then the values. "no-room bed=A2 wanted=15 m most=8 m" */
    public function logged(): string
    {
        $values = [];
        foreach ($this->values as $name => $value) {
            $values[] = $name.'='.self::loggedValue($value);
        }

        return trim($this->code->value.' '.implode(' ', $values));
    }

    /** @param Value $value */
    private static function loggedValue(mixed $value): string
    {
        return match (true) {
            $value instanceof self => '('.$value->logged().')',
            $value instanceof Sayable => $value->logged(),
            $value instanceof \BackedEnum => (string) $value->value,
            \is_array($value) => implode(',', array_map(self::loggedValue(...), $value)),
            default => (string) $value,
        };
    }
}
