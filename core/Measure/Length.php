<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/**
 * A length in whole micrometres, never negative: an inch is 25,400 of them, so that neither metric nor US customary
 * lengths are rounded (international yard and pound agreement, 1959).
 */
final readonly class Length
{
    /** Longer than all beds of a garden together can be; what is typed has limits of its own. */
    public const LONGEST = 10_000_000 * self::METRE;

    public const METRE = 1_000_000;
    public const CENTIMETRE = 10_000;
    public const MILLIMETRE = 1_000;
    public const INCH = 25_400;

    private function __construct(public int $micrometres)
    {
        if ($micrometres < 0 || $micrometres > self::LONGEST) {
            throw InvalidLength::outOfRange($micrometres);
        }
    }

    public static function fromMicrometres(int $micrometres): self
    {
        return new self($micrometres);
    }

    public static function fromCentimetres(float $centimetres): self
    {
        return new self((int) round($centimetres * self::CENTIMETRE));
    }

    public static function fromMetres(float $metres): self
    {
        return new self((int) round($metres * self::METRE));
    }

    /**
     * Reads "75 cm", "2.5 ft", "30in", "0,75 m"; a bare number counts in the unit given.
     * Rounded to the nearest micrometre.
     *
     * @throws InvalidLength
     */
    public static function parse(string $text, LengthUnit $bare, float $leastMetres = 0.001, float $mostMetres = 1000.0): self
    {
        $metres = self::feetAndInches($text) ?? self::number($text, $bare);
        if ($metres < $leastMetres || $metres > $mostMetres) {
            throw InvalidLength::outside($text, self::fromMetres($leastMetres), self::fromMetres($mostMetres), $bare->isShort());
        }

        return self::fromMetres($metres);
    }

    /** "6 ft 4 in", "6' 4\"": metres; null: not written so. */
    private static function feetAndInches(string $text): ?float
    {
        $inches = '(\d{1,2}(?:[.,]\d{1,4})?)\s*(?:in|inch|inches|")?\.?';

        return 1 === preg_match('/^\s*(\d{1,5})\s*(?:ft|feet|foot|\')\.?\s*'.$inches.'\s*$/iD', $text, $m)
            ? ((int) $m[1] * LengthUnit::Foot->millimetres() + (float) str_replace(',', '.',
                $m[2]) * LengthUnit::Inch->millimetres()) / 1000
            : null;
    }

    /** "25 m", "7,5", "1/2 in", "12 1/2 ft": metres. A fraction says its unit. */
    private static function number(string $text, LengthUnit $bare): float
    {
        if (1 !== preg_match('~^\s*(\d{1,7}(?:[.,]\d{1,4})?|(?:(\d{1,5})\s+)?(\d{1,3})/([1-9]\d{0,2}))\s*([a-zA-Z."\']*)\s*$~', $text, $m)
            || ('' === $m[5] && '' !== $m[3])) {
            throw InvalidLength::notALength($text);
        }
        $unit = '' === $m[5] ? $bare : LengthUnit::named($m[5]);
        if (null === $unit) {
            throw InvalidLength::unknownUnit($m[5]);
        }
        $number = '' === $m[3] ? (float) str_replace(',', '.', $m[1]) : (int) $m[2] + (int) $m[3] / (int) $m[4];

        return $number * $unit->millimetres() / 1000;
    }

    public function millimetres(): float
    {
        return $this->micrometres / self::MILLIMETRE;
    }

    public function metres(): float
    {
        return $this->micrometres / self::METRE;
    }

    public function centimetres(): float
    {
        return $this->micrometres / self::CENTIMETRE;
    }

    public function inches(): float
    {
        return $this->micrometres / self::INCH;
    }

    public function feet(): float
    {
        return $this->micrometres / (12 * self::INCH);
    }

    public function plus(self $other): self
    {
        return new self($this->micrometres + $other->micrometres);
    }

    public function equals(self $other): bool
    {
        return $this->micrometres === $other->micrometres;
    }

    public function times(self $width): Area
    {
        return Area::fromSquareMetres($this->metres() * $width->metres());
    }
}
