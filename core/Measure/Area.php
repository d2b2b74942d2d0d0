<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** An area in square metres. */
final readonly class Area
{
    private const SQUARE_FEET = 0.3048 * 0.3048;

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

    public function squareFeet(): float
    {
        return $this->squareMetres / self::SQUARE_FEET;
    }

    public function timesDepth(Length $depth): Volume
    {
        return Volume::fromLitres($this->squareMetres * $depth->millimetres());
    }
}
