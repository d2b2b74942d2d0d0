<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** Amounts of N, P2O5 and K2O: kilograms a hectare of bed, or grams, as it is said. */
final readonly class Nutrients
{
    private function __construct(public float $n, public float $p2o5, public float $k2o)
    {
    }

    public static function of(float $n, float $p2o5, float $k2o): self
    {
        return new self($n, $p2o5, $k2o);
    }

    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    /** @param list<self> $all */
    public static function sum(array $all): self
    {
        return array_reduce($all, static fn (self $sum, self $one): self => $sum->plus($one), self::none());
    }

    public function get(Nutrient $nutrient): float
    {
        return match ($nutrient) {
            Nutrient::Nitrogen => $this->n,
            Nutrient::Phosphate => $this->p2o5,
            Nutrient::Potash => $this->k2o,
        };
    }

    public function plus(self $other): self
    {
        return new self($this->n + $other->n, $this->p2o5 + $other->p2o5, $this->k2o + $other->k2o);
    }

    public function minus(self $other): self
    {
        return $this->plus($other->times(-1.0));
    }

    public function times(float $factor): self
    {
        return new self($this->n * $factor, $this->p2o5 * $factor, $this->k2o * $factor);
    }

    /** A share of each. */
    public function shared(float $n, float $p2o5, float $k2o): self
    {
        return new self($this->n * $n, $this->p2o5 * $p2o5, $this->k2o * $k2o);
    }

    /** Nothing below none. */
    public function atLeastNone(): self
    {
        return new self(max(0.0, $this->n), max(0.0, $this->p2o5), max(0.0, $this->k2o));
    }

    /** The lesser of both, nutrient by nutrient. */
    public function atMost(self $most): self
    {
        return new self(min($this->n, $most->n), min($this->p2o5, $most->p2o5), min($this->k2o, $most->k2o));
    }

    public function isNone(): bool
    {
        return max(abs($this->n), abs($this->p2o5), abs($this->k2o)) < 1e-9;
    }

    /** @return array{float, float, float} */
    public function list(): array
    {
        return [$this->n, $this->p2o5, $this->k2o];
    }
}
