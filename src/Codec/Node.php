<?php

declare(strict_types=1);

namespace App\Codec;

use App\Shared\Faults;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;

/** One object of a file, read field by field; what is wrong goes to the faults and a harmless value comes back. */
final readonly class Node
{
    /** @param array<mixed> $values */
    public function __construct(private array $values, private string $path, private Faults $faults)
    {
    }

    public function fault(string $field, string $message): void
    {
        $this->faults->add($this->at($field), $message);
    }

    public function has(string $field): bool
    {
        return isset($this->values[$field]);
    }

    public function text(string $field, int $longest = 120, string $pattern = '/\S/u', string $right = 'a text'): string
    {
        $value = $this->values[$field] ?? null;
        if (!\is_string($value) || mb_strlen($value) > $longest || 1 !== preg_match($pattern, $value)) {
            $this->fault($field, \sprintf('is %s; it must be %s of at most %d characters.', self::show($value), $right, $longest));

            return '';
        }

        return $value;
    }

    /** Lower-case letters, digits and hyphens. */
    public function key(string $field): string
    {
        return $this->text($field, 60, '/^[a-z0-9][a-z0-9-]*$/', 'lower-case letters, digits and hyphens');
    }

    public function int(string $field, int $least, int $most): int
    {
        $value = $this->values[$field] ?? null;
        if (!\is_int($value) || $value < $least || $value > $most) {
            $this->fault($field, \sprintf('is %s; it must be a whole number from %d to %d.', self::show($value), $least, $most));

            return $least;
        }

        return $value;
    }

    /** A length told in millimetres, as whole micrometres. */
    public function length(string $field, int $least, int $most): int
    {
        return (int) round($this->float($field, $least, $most) * Length::MILLIMETRE);
    }

    public function optionalInt(string $field, int $least, int $most): ?int
    {
        return $this->has($field) ? $this->int($field, $least, $most) : null;
    }

    public function float(string $field, float $least, float $most): float
    {
        $value = $this->values[$field] ?? null;
        if ((!\is_int($value) && !\is_float($value)) || $value < $least || $value > $most) {
            $this->fault($field, \sprintf('is %s; it must be a number from %s to %s.', self::show($value), $least, $most));

            return $least;
        }

        return (float) $value;
    }

    public function bool(string $field): bool
    {
        $value = $this->values[$field] ?? null;
        if (!\is_bool($value)) {
            $this->fault($field, \sprintf('is %s; it must be true or false.', self::show($value)));
        }

        return true === $value;
    }

    public function day(string $field): Day
    {
        return $this->parsed($field, Day::parse(...), Day::of(0), 'a date such as 2026-05-20');
    }

    public function monthDay(string $field): MonthDay
    {
        return $this->parsed($field, MonthDay::parse(...), MonthDay::parse('01-01'), 'a day of the year such as 05-12');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function choice(string $field, string $enum): \BackedEnum
    {
        $value = $this->values[$field] ?? null;
        $case = \is_int($value) || \is_string($value) ? self::caseOf($enum, $value) : null;
        if (null === $case) {
            $this->fault($field, \sprintf('is %s; it must be one of %s.', self::show($value),
                implode(', ', array_map(static fn (\BackedEnum $c): string => (string) $c->value, $enum::cases()))));
            $case = $enum::cases()[0];
        }

        return $case;
    }

    public function object(string $field): self
    {
        $value = $this->values[$field] ?? null;
        if (!\is_array($value) || (array_is_list($value) && [] !== $value)) {
            $this->fault($field, \sprintf('is %s; it must be an object { ... }.', self::show($value)));
            $value = [];
        }

        return new self($value, $this->at($field), $this->faults);
    }

    /** @return list<self> */
    public function objects(string $field, int $most): array
    {
        $nodes = [];
        foreach ($this->items($field, $most) as $i => $value) {
            $at = \sprintf('%s[%d]', $this->at($field), $i);
            if (!\is_array($value)) {
                $this->faults->add($at, \sprintf('is %s; it must be an object { ... }.', self::show($value)));
                continue;
            }
            $nodes[] = new self($value, $at, $this->faults);
        }

        return $nodes;
    }

    /**
     * A list of anything, at most so long.
     *
     * @return list<mixed>
     */
    public function list(string $field, int $most): array
    {
        $value = $this->values[$field] ?? null;
        if (!\is_array($value) || !array_is_list($value) || \count($value) > $most) {
            $this->fault($field, \sprintf('is %s; it must be a list of at most %d.', self::show($value), $most));

            return [];
        }

        return $value;
    }

    /** @return list<string> */
    public function texts(string $field, int $most, int $longest = 500): array
    {
        $texts = [];
        foreach ($this->items($field, $most) as $i => $value) {
            if (!\is_string($value) || mb_strlen($value) > $longest) {
                $this->faults->add(\sprintf('%s[%d]', $this->at($field), $i), \sprintf('is %s; it must be a text of at most %d characters.',
                    self::show($value), $longest));
                continue;
            }
            $texts[] = $value;
        }

        return $texts;
    }

    /** @return list<float> */
    public function numbers(string $field, int $count, float $least, float $most): array
    {
        $numbers = [];
        foreach ($this->items($field, $count) as $i => $value) {
            if ((!\is_int($value) && !\is_float($value)) || $value < $least || $value > $most) {
                $this->faults->add(\sprintf('%s[%d]', $this->at($field), $i), \sprintf('is %s; it must be a number from %s to %s.',
                    self::show($value), $least, $most));
                continue;
            }
            $numbers[] = (float) $value;
        }

        return $numbers;
    }

    /**
     * Rows of a day, a minimum, a maximum and rain or null.
     *
     * @return list<array{int, float, float, float|null}>
     */
    public function weatherDays(string $field, int $most): array
    {
        $rows = [];
        foreach ($this->has($field) ? $this->items($field, $most) : [] as $i => $value) {
            $row = \is_array($value) ? array_values($value) : [];
            $number = static fn (mixed $v): ?float => \is_int($v) || \is_float($v) ? (float) $v : null;
            [$min, $max, $rain] = array_map($number, [$row[1] ?? null, $row[2] ?? null, $row[3] ?? null]);
            try {
                $day = Day::parse(\is_string($row[0] ?? null) ? $row[0] : '')->number;
            } catch (BadInput) {
                $day = null;
            }
            if (null === $day || null === $min || null === $max || $min > $max || $min < -60 || $max > 55 || ($rain ?? 0.0) < 0) {
                $this->faults->add(\sprintf('%s[%d]', $this->at($field), $i),
                    'must be a day, a minimum and a maximum in degrees C, and rain in mm or null, such as ["2025-05-20", 8.1, 19.4, 0.0].');
                continue;
            }
            $rows[] = [$day, $min, $max, $rain];
        }

        return $rows;
    }

    /** @return list<mixed> */
    private function items(string $field, int $most): array
    {
        $value = $this->values[$field] ?? null;
        if (!\is_array($value) || !array_is_list($value)) {
            $this->fault($field, \sprintf('is %s; it must be a list [ ... ].', self::show($value)));

            return [];
        }
        if (\count($value) > $most) {
            $this->fault($field, \sprintf('has %d entries; at most %d are allowed.', \count($value), $most));

            return [];
        }

        return $value;
    }

    /**
     * @template T
     *
     * @param callable(string): T $parse
     * @param T                   $fallback
     *
     * @return T
     */
    private function parsed(string $field, callable $parse, mixed $fallback, string $right): mixed
    {
        $value = $this->values[$field] ?? null;
        if (!\is_string($value)) {
            $this->fault($field, \sprintf('is %s; it must be %s.', self::show($value), $right));

            return $fallback;
        }
        try {
            return $parse($value);
        } catch (BadInput) {
            $this->fault($field, \sprintf('is %s; it must be %s.', self::show($value), $right));

            return $fallback;
        }
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T|null
     */
    private static function caseOf(string $enum, int|string $value): ?\BackedEnum
    {
        foreach ($enum::cases() as $case) {
            if ($case->value === $value) {
                return $case;
            }
        }

        return null;
    }

    private function at(string $field): string
    {
        return '' === $this->path ? $field : $this->path.'.'.$field;
    }

    private static function show(mixed $value): string
    {
        return match (true) {
            null === $value => 'missing',
            \is_string($value) => Quote::of($value),
            \is_bool($value) => $value ? 'true' : 'false',
            \is_int($value), \is_float($value) => (string) $value,
            default => 'a list or object',
        };
    }

    /** @return list<int> */
    public function ints(string $field, int $most, int $least, int $greatest): array
    {
        $ints = [];
        foreach ($this->list($field, $most) as $one) {
            if (!\is_int($one) || $one < $least || $one > $greatest) {
                $this->fault($field, \sprintf('must hold whole numbers from %d to %d.', $least, $greatest));

                return [];
            }
            $ints[] = $one;
        }

        return $ints;
    }
}
