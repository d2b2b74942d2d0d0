<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** An area in square metres. */
final readonly class Area
{
    private const SQUARE_FEET = 0.3048 * 0.3048;
    private const ACRE = 4046.8564224;

    private function __construct(public float $squareMetres)
    {
        if ($squareMetres < 0.0 || !is_finite($squareMetres)) {
            throw new \DomainException(\sprintf('%F square metres is no area.', $squareMetres));
        }
    }

    public static function fromSquareMetres(float $squareMetres): self
    {
        return new self($squareMetres);
    }

    public static function fromSquareFeet(float $squareFeet): self
    {
        return new self($squareFeet * self::SQUARE_FEET);
    }

    public static function fromAcres(float $acres): self
    {
        return new self($acres * self::ACRE);
    }

    public function squareFeet(): float
    {
        return $this->squareMetres / self::SQUARE_FEET;
    }

    public function timesDepth(Length $depth): Volume
    {
        return Volume::fromLitres($this->squareMetres * $depth->millimetres);
    }
}
