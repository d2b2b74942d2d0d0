<?php

declare(strict_types=1);

namespace JollyFurrow\Map;

/** How the blocks of a garden lie on the ground, with paths, water and buildings; what is not said is laid out in walking order. */
final readonly class GroundMap
{
    /**
     * @param array<string, BlockLay>  $blocks by name
     * @param list<GroundMark>         $marks
     * @param array{float, float}|null $corner longitude and latitude of the map's corner in degrees (WGS 84); null: not said
     */
    public function __construct(public array $blocks = [], public array $marks = [], public ?array $corner = null)
    {
    }

    public function isSaid(): bool
    {
        return [] !== $this->blocks || [] !== $this->marks;
    }

    public function laying(string $block, BlockLay $lay): self
    {
        return new self([...$this->blocks, $block => $lay], $this->marks, $this->corner);
    }

    public function withoutBlock(string $block): self
    {
        return new self(array_diff_key($this->blocks, [$block => true]), $this->marks, $this->corner);
    }

    /** The same with a block under another name. */
    public function renaming(string $old, string $new): self
    {
        $blocks = [];
        foreach ($this->blocks as $block => $lay) {
            $blocks[$old === (string) $block ? $new : $block] = $lay;
        }

        return new self($blocks, $this->marks, $this->corner);
    }

    public function marking(GroundMark $mark): self
    {
        return new self($this->blocks, [...$this->marks, $mark], $this->corner);
    }

    public function withoutMark(int $number): self
    {
        return new self($this->blocks, array_values(array_diff_key($this->marks, [$number => true])), $this->corner);
    }
}
