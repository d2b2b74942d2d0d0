<?php

declare(strict_types=1);

namespace App\Wording;

/** A value as it is written for a garden, and what it is apart from that: its kind, and the same number whatever the units. */
final readonly class Written
{
    private function __construct(public string $text, public string $kind, public string $value)
    {
    }

    /** @param float $value in the unit of its kind that machines agree on: metres, kilograms, degrees Celsius ... */
    public static function number(string $text, string $kind, float $value): self
    {
        return new self($text, $kind, self::plain($value));
    }

    /** @param string $iso "2026-03-03", or "--03-03" for a day of every year */
    public static function day(string $text, string $iso): self
    {
        return new self($text, 'day', $iso);
    }

    public function html(): string
    {
        $text = htmlspecialchars($this->text, \ENT_QUOTES | \ENT_SUBSTITUTE);

        return 'day' === $this->kind
            ? \sprintf('<time datetime="%s">%s</time>', $this->value, $text)
            : \sprintf('<data value="%s" data-kind="%s">%s</data>', $this->value, $this->kind, $text);
    }

    private static function plain(float $value): string
    {
        $text = number_format($value, 6, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
