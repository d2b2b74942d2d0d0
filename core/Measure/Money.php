<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Message\Sayable;

/** An amount of money in minor units (cents); the garden decides which currency. */
final readonly class Money implements Sayable
{
    private function __construct(public int $cents)
    {
    }

    public static function fromCents(int $cents): self
    {
        return new self($cents);
    }

    /**
     * Reads "2.50", "2,5", "3", "$3", "3 €": one sign of a currency, before or behind. Two decimals at most. Which currency it is
     * says the garden, not the sign; letters such as EUR are not taken.
     *
     * @throws BadInput
     */
    public static function parse(string $text): self
    {
        if (1 !== preg_match('/^\s*(?|\p{Sc}?\s*(\d{1,6})(?:[.,](\d{1,2}))?|(\d{1,6})(?:[.,](\d{1,2}))?\s*\p{Sc})\s*$/Du', $text, $m)) {
            throw InvalidMoney::notAnAmount($text);
        }

        return new self((int) $m[1] * 100 + (int) str_pad($m[2] ?? '', 2, '0'));
    }

    public function text(): string
    {
        return number_format($this->cents / 100, 2, '.', '');
    }

    public function logged(): string
    {
        return $this->text();
    }
}
