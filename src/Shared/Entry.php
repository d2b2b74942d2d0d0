<?php

declare(strict_types=1);

namespace App\Shared;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\LengthUnit;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Temperature;
use JollyFurrow\Measure\Units;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;

/**
 * What a person typed into a form. Each field is read by its kind; what is wrong is kept at the field, and the typing
 * stays, so that a rejected form comes back filled in. Read all fields first, then ask isGood().
 */
final class Entry
{
    /** @var array<string, string|Message> */
    private array $faults = [];

    /** @param array<mixed> $typed */
    public function __construct(private readonly array $typed)
    {
    }

    public static function fresh(): self
    {
        return new self([]);
    }

    public function raw(string $field, string $else = ''): string
    {
        $value = $this->typed[$field] ?? null;

        return \is_scalar($value) ? trim((string) $value) : $else;
    }

    /** As typed, spaces and all: for passwords. */
    public function exact(string $field): string
    {
        $value = $this->typed[$field] ?? null;

        return \is_string($value) ? $value : '';
    }

    public function isBegun(): bool
    {
        return [] !== $this->typed;
    }

    /** @return list<string> */
    public function several(string $field): array
    {
        $value = $this->typed[$field] ?? [];

        return \is_array($value) ? array_values(array_filter(array_map(static fn (mixed $v): string => \is_scalar($v)
            ? trim((string) $v) : '', $value), static fn (string $v): bool => '' !== $v)) : [];
    }

    /** @return list<list<string>> rows of typed cells */
    public function table(string $field): array
    {
        $rows = $this->typed[$field] ?? [];

        return \is_array($rows) ? array_map(static fn (mixed $row): array => \is_array($row)
            ? array_values(array_map(static fn (mixed $cell): string => \is_scalar($cell) ? trim(mb_scrub((string) $cell)) : '', $row))
            : [], array_values($rows)) : [];
    }

    public function fault(string $field, string|Message $message): void
    {
        $this->faults[$field] ??= $message;
    }

    public function isGood(): bool
    {
        return [] === $this->faults;
    }

    /** @return array<string, string|Message> by field */
    public function faults(): array
    {
        return $this->faults;
    }

    public function text(string $field, int $longest): string
    {
        $text = $this->raw($field);
        if ('' === $text || mb_strlen($text) > $longest || !mb_check_encoding($text, 'UTF-8')) {
            $this->fault($field, '' === $text ? 'Please write something here.' : \sprintf('At most %d characters fit here.', $longest));
        }

        return $text;
    }

    public function int(string $field, int $least, int $most): int
    {
        $text = $this->raw($field);
        if (1 !== preg_match('/^-?\d{1,9}$/', $text) || (int) $text < $least || (int) $text > $most) {
            $this->fault($field, \sprintf('%s will not do. Write a whole number from %d to %d.', Quote::of($text), $least, $most));

            return $least;
        }

        return (int) $text;
    }

    public function optionalInt(string $field, int $least, int $most): ?int
    {
        return '' === $this->raw($field) ? null : $this->int($field, $least, $most);
    }

    public function float(string $field, float $least, float $most): float
    {
        $text = str_replace(',', '.', $this->raw($field));
        if (1 !== preg_match('/^-?\d{1,9}(\.\d{1,6})?$/', $text) || (float) $text < $least || (float) $text > $most) {
            $this->fault($field, \sprintf('%s will not do. Write a number from %s to %s.', Quote::of($text), $least, $most));

            return $least;
        }

        return (float) $text;
    }

    public function length(string $field, LengthUnit $bare, float $leastMetres, float $mostMetres): Length
    {
        return $this->parsed($field, static fn (string $text): Length => Length::parse($text, $bare, $leastMetres, $mostMetres))
            ?? Length::fromMetres($leastMetres);
    }

    public function temperature(string $field, Units $bare, float $least, float $most): Temperature
    {
        return $this->parsed($field, static fn (string $text): Temperature => Temperature::parse($text, $bare, $least, $most))
            ?? Temperature::fromCelsius($least);
    }

    /** @param float $most grams */
    public function mass(string $field, Units $bare, float $most): Mass
    {
        return $this->parsed($field, static fn (string $text): Mass => Mass::parse($text, $bare, Mass::fromGrams(0),
            Mass::fromGrams($most)))
            ?? Mass::fromGrams(0);
    }

    public function day(string $field): Day
    {
        return $this->parsed($field, Day::parse(...)) ?? Day::of(0);
    }

    public function monthDay(string $field): MonthDay
    {
        return $this->parsed($field, MonthDay::parse(...)) ?? MonthDay::parse('01-01');
    }

    public function money(string $field): Money
    {
        return $this->parsed($field, Money::parse(...)) ?? Money::fromCents(0);
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
        foreach ($enum::cases() as $case) {
            if ((string) $case->value === $this->raw($field)) {
                return $case;
            }
        }
        $this->fault($field, 'Please choose one of the list.');

        return $enum::cases()[0];
    }

    /** @param list<string> $allowed */
    public function oneOf(string $field, array $allowed): string
    {
        $text = $this->raw($field);
        if (!\in_array($text, $allowed, true)) {
            $this->fault($field, 'Please choose one of the list.');
        }

        return $text;
    }

    /**
     * @template T
     *
     * @param callable(string): T $parse
     *
     * @return T|null
     */
    private function parsed(string $field, callable $parse): mixed
    {
        try {
            return $parse($this->raw($field));
        } catch (BadInput $bad) {
            $this->fault($field, $bad instanceof Refusal ? $bad->said() : $bad->getMessage());

            return null;
        }
    }
}
