<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

/** What a laboratory, a spade or a hand says of the soil of a bed or block on a day. What was not looked at is null. */
final readonly class SoilTest
{
    /**
     * @param string      $bed     empty: of the block
     * @param string      $block   empty: of the bed
     * @param float|null  $organic organic matter, percent
     * @param float|null  $p       phosphorus, mg a kg, as the extract draws it
     * @param float|null  $k       potassium, mg a kg
     * @param float|null  $ca      mg a kg, as $mg, $s, $b
     * @param float|null  $salt    dS/m, as measured
     * @param float|null  $cec     cmol a kg
     * @param int|null    $worms   in a spadeful of 20 cm each way
     * @param Length|null $pan     how deep a probe goes until it stands
     * @param string      $words   laboratory, place of the sample, what was seen
     */
    public function __construct(
        public string $key,
        public string $bed,
        public string $block,
        public Day $day,
        public ?Length $depth = null,
        public ?float $ph = null,
        public ?float $buffer = null,
        public ?float $organic = null,
        public ?float $p = null,
        public ?Extract $pBy = null,
        public ?float $k = null,
        public ?Extract $kBy = null,
        public ?float $ca = null,
        public ?float $mg = null,
        public ?float $s = null,
        public ?float $b = null,
        public ?float $salt = null,
        public ?SaltWay $saltBy = null,
        public ?float $cec = null,
        public ?Texture $texture = null,
        public ?int $worms = null,
        public ?Length $pan = null,
        public string $words = '',
    ) {
    }

    /** The same taken on another day. */
    public function on(Day $day): self
    {
        return new self($this->key, $this->bed, $this->block, $day, $this->depth, $this->ph, $this->buffer, $this->organic, $this->p,
            $this->pBy,
            $this->k, $this->kBy, $this->ca, $this->mg, $this->s, $this->b, $this->salt, $this->saltBy, $this->cec, $this->texture,
            $this->worms,
            $this->pan, $this->words);
    }

    /** Null: not tested, or the extract is not known. */
    public function phosphorus(): ?SoilLevel
    {
        $bounds = $this->pBy?->phosphorus() ?? [];

        return null === $this->p || [] === $bounds ? null : SoilLevel::by($this->p, $bounds);
    }

    public function potassium(): ?SoilLevel
    {
        $bounds = $this->kBy?->potassium() ?? [];

        return null === $this->k || [] === $bounds ? null : SoilLevel::by($this->k, $bounds);
    }

    /** dS/m of the saturated paste. */
    public function paste(): ?float
    {
        return null === $this->salt ? null : $this->salt * ($this->saltBy ?? SaltWay::Paste)->inPaste();
    }
}
