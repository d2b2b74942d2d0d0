<?php

declare(strict_types=1);

namespace JollyFurrow\Forecast;

use JollyFurrow\Sale\GlutKind;

/** One way for what is too much, and how much of it goes there. */
final readonly class GlutPart
{
    /**
     * @param float    $cents a unit brings there, picking and packing taken off
     * @param int|null $most  units it takes, a week where the garden wrote it down; null: as many as there are
     * @param string   $key   of what the garden wrote down; empty: it follows from an outlet
     * @param int      $units of the glut that go there, what brings more being served first
     */
    public function __construct(public GlutKind $kind, public string $name, public float $cents, public ?int $most,
        public string $outlet = '', public int $units = 0, public string $key = '')
    {
    }

    public function given(int $units): self
    {
        return new self($this->kind, $this->name, $this->cents, $this->most, $this->outlet, $units, $this->key);
    }
}
