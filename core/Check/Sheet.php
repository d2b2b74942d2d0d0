<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/** One object of a decoded file, read without trust: what is missing or of another kind comes back as nothing. */
final readonly class Sheet
{
    /** @param array<mixed> $values */
    public function __construct(private array $values)
    {
    }

    public function text(string $field): string
    {
        $value = $this->values[$field] ?? null;

        return \is_string($value) ? $value : '';
    }

    public function number(string $field): float
    {
        $value = $this->values[$field] ?? null;

        return \is_int($value) || \is_float($value) ? (float) $value : 0.0;
    }

    public function isTrue(string $field): bool
    {
        return true === ($this->values[$field] ?? null);
    }

    public function has(string $field): bool
    {
        return isset($this->values[$field]);
    }

    /** Day number; null: no such day. */
    public function day(string $field): ?int
    {
        try {
            return Day::parse($this->text($field))->number;
        } catch (InvalidDay) {
            return null;
        }
    }

    public function part(string $field): self
    {
        $value = $this->values[$field] ?? null;

        return new self(\is_array($value) ? $value : []);
    }

    /** @return list<self> */
    public function parts(string $field): array
    {
        $value = $this->values[$field] ?? null;

        return \is_array($value) ? array_values(array_map(static fn (mixed $one): self => new self(\is_array($one) ? $one : []),
            $value)) : [];
    }

    /** @return list<string> */
    public function texts(string $field): array
    {
        $value = $this->values[$field] ?? null;

        return \is_array($value) ? array_values(array_filter($value, \is_string(...))) : [];
    }

    /** @return array<string, float> */
    public function numbers(string $field): array
    {
        $numbers = [];
        $value = $this->values[$field] ?? null;
        foreach (\is_array($value) ? $value : [] as $key => $number) {
            if (\is_int($number) || \is_float($number)) {
                $numbers[(string) $key] = (float) $number;
            }
        }

        return $numbers;
    }

    /** @param array<string, mixed> $values in place of its own */
    public function with(array $values): self
    {
        return new self([...$this->values, ...$values]);
    }

    /** @return list<float> */
    public function floats(string $field): array
    {
        $list = $this->values[$field] ?? null;

        return array_map(static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0, \is_array($list)
            ? array_values($list) : []);
    }

    /** @return list<list<mixed>> */
    public function lists(string $field): array
    {
        $list = $this->values[$field] ?? null;

        return array_values(array_map(array_values(...), array_filter(\is_array($list) ? $list : [], is_array(...))));
    }
}
