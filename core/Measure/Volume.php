<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** A volume in litres. */
final readonly class Volume
{
    private const CUBIC_FOOT = 28.316846592;

    private function __construct(public float $litres)
    {
        if ($litres < 0.0 || !is_finite($litres)) {
            throw new \DomainException(\sprintf('%F litres is no volume.', $litres));
        }
    }

    public static function fromLitres(float $litres): self
    {
        return new self($litres);
    }

    public function cubicFeet(): float
    {
        return $this->litres / self::CUBIC_FOOT;
    }
}
