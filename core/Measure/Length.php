<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** A length in whole millimetres, never negative. */
final readonly class Length
{
    /** Longer than all beds of a garden together can be; what is typed has limits of its own. */
    public const LONGEST_MM = 10_000_000_000;

    private function __construct(public int $millimetres)
    {
        if ($millimetres < 0 || $millimetres > self::LONGEST_MM) {
            throw InvalidLength::outOfRange($millimetres);
        }
    }

    public static function fromMillimetres(int $millimetres): self
    {
        return new self($millimetres);
    }

    public static function fromCentimetres(float $centimetres): self
    {
        return new self((int) round($centimetres * 10));
    }

    public static function fromMetres(float $metres): self
    {
        return new self((int) round($metres * 1000));
    }

    /**
     * Reads "75 cm", "2.5 ft", "30in", "0,75 m"; a bare number counts in the unit given.
     * Rounded to the nearest millimetre.
     *
     * @throws InvalidLength
     */
    public static function parse(string $text, LengthUnit $bare, float $leastMetres = 0.001, float $mostMetres = 1000.0): self
    {
        if (1 !== preg_match('/^\s*(\d{1,7}(?:[.,]\d{1,4})?)\s*([a-zA-Z."\']*)\s*$/', $text, $m)) {
            throw InvalidLength::notALength($text);
        }
        $unit = '' === $m[2] ? $bare : LengthUnit::named($m[2]);
        if (null === $unit) {
            throw InvalidLength::unknownUnit($m[2]);
        }
        $metres = (float) str_replace(',', '.', $m[1]) * $unit->millimetres() / 1000;
        if ($metres < $leastMetres || $metres > $mostMetres) {
            throw InvalidLength::outside($text, self::fromMetres($leastMetres), self::fromMetres($mostMetres), $bare->isShort());
        }

        return self::fromMetres($metres);
    }

    public function metres(): float
    {
        return $this->millimetres / 1000;
    }

    public function centimetres(): float
    {
        return $this->millimetres / 10;
    }

    public function inches(): float
    {
        return $this->millimetres / 25.4;
    }

    public function feet(): float
    {
        return $this->millimetres / 304.8;
    }

    public function plus(self $other): self
    {
        return new self($this->millimetres + $other->millimetres);
    }

    public function equals(self $other): bool
    {
        return $this->millimetres === $other->millimetres;
    }

    public function times(self $width): Area
    {
        return Area::fromSquareMetres($this->metres() * $width->metres());
    }
}
