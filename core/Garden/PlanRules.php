<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Bed;
use JollyFurrow\Maturity\Odds;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Time\Period;

/** How a plan is to be drawn up: wishes, reserve, rules by block and bed, and what each soft rule weighs. */
final readonly class PlanRules
{
    /** Degrees. */
    public const DEEPEST_HOLLOW = 4;

    /**
     * @param array<string, BlockRules>       $blocks      by name of the block
     * @param array<string, list<RestingBed>> $resting     by name of the bed
     * @param list<string>                    $reserveBeds beds the plan leaves empty, for what goes wrong
     * @param list<NotHere>                   $notHere
     * @param list<list<string>>              $cycle       groups of families in the order they follow each other, one a year; none: by gap alone
     * @param array<string, Method>           $methods     by item: sown or planted out whatever is cheaper
     * @param array<string, Keeping>          $keeping     by item: store it, or grow on
     * @param float                           $reserve     share above need
     * @param int                             $mostSowings of one crop in a calendar month; 0: as many as it takes
     * @param Odds                            $odds        share of years in which frost may take a planting that is planned all the same
     * @param int                             $hollow      degrees by which nights are colder in a frost hollow than where the climate was measured
     */
    public function __construct(
        public array $blocks = [],
        public array $resting = [],
        public array $reserveBeds = [],
        public array $notHere = [],
        public array $cycle = [],
        public array $methods = [],
        public array $keeping = [],
        public Weights $weights = new Weights(),
        public SuccessionSchool $school = SuccessionSchool::ByDate,
        public Lengths $lengths = Lengths::Quarters,
        public bool $fullTrays = false,
        public float $reserve = 0.0,
        public ReserveWay $reserveWay = ReserveWay::Longer,
        public int $mostSowings = 0,
        public Odds $odds = Odds::OneYearInTen,
        public Benches $benches = new Benches(),
        public int $hollow = 0,
    ) {
    }

    /**
     * The same with other beds resting.
     *
     * @param array<string, list<RestingBed>> $resting
     */
    public function resting(array $resting): self
    {
        return $this->but(resting: $resting);
    }

    /**
     * The same but for what is named.
     *
     * @param array<string, Method>|null  $methods
     * @param array<string, Keeping>|null $keeping
     */
    public function wishing(?Lengths $lengths = null, ?bool $fullTrays = null, ?int $mostSowings = null, ?array $methods = null,
        ?array $keeping = null, ?float $reserve = null, ?Odds $odds = null, ?Benches $benches = null): self
    {
        return new self($this->blocks, $this->resting, $this->reserveBeds, $this->notHere, $this->cycle, $methods ?? $this->methods,
            $keeping ?? $this->keeping, $this->weights, $this->school, $lengths ?? $this->lengths, $fullTrays ?? $this->fullTrays,
            $reserve ?? $this->reserve, $this->reserveWay, $mostSowings ?? $this->mostSowings, $odds ?? $this->odds,
            $benches ?? $this->benches, $this->hollow);
    }

    /** The same with a bed under another name. A block of the old name keeps its rules. */
    public function renamingBed(string $old, string $new, bool $isBlockToo): self
    {
        $resting = [];
        foreach ($this->resting as $bed => $rests) {
            $resting[$old === (string) $bed ? $new : $bed] = $rests;
        }
        $where = static fn (NotHere $one): NotHere => $one->where === $old && !$isBlockToo ? new NotHere($one->what, $new,
            $one->why) : $one;

        return $this->but(resting: $resting, reserveBeds: array_map(static fn (string $bed): string => $bed === $old ? $new : $bed,
            $this->reserveBeds), notHere: array_map($where, $this->notHere));
    }

    /** The same with what is said of a bed said of the part cut from it too. */
    public function splittingBed(string $bed, string $part, bool $isBlockToo): self
    {
        $resting = isset($this->resting[$bed]) ? [...$this->resting, $part => $this->resting[$bed]] : $this->resting;
        $off = array_map(static fn (NotHere $one): NotHere => new NotHere($one->what, $part, $one->why),
            array_values(array_filter($this->notHere, static fn (NotHere $one): bool => !$isBlockToo && $one->where === $bed)));

        return $this->but(resting: $resting, reserveBeds: \in_array($bed, $this->reserveBeds, true) ? [...$this->reserveBeds, $part]
            : $this->reserveBeds, notHere: [...$this->notHere, ...$off]);
    }

    /** The same with a block under another name. A bed of the old name keeps what is said of it. */
    public function renamingBlock(string $old, string $new, bool $isBedToo): self
    {
        $blocks = [];
        foreach ($this->blocks as $block => $rules) {
            $blocks[$old === (string) $block ? $new : $block] = $rules;
        }

        return $this->but(blocks: $blocks, notHere: array_map(static fn (NotHere $one): NotHere => $one->where === $old && !$isBedToo
            ? new NotHere($one->what, $new, $one->why) : $one, $this->notHere));
    }

    /** The same when a block is gone. */
    public function withoutBlock(string $block, bool $isBedToo): self
    {
        return $this->but(blocks: array_diff_key($this->blocks, [$block => true]), notHere: array_values(array_filter($this->notHere,
            static fn (NotHere $one): bool => $isBedToo || $one->where !== $block)));
    }

    /** The same when a bed is gone: nothing is said of it any more. */
    public function withoutBed(string $bed, bool $isBlockToo): self
    {
        return $this->but(resting: array_diff_key($this->resting, [$bed => true]),
            reserveBeds: array_values(array_diff($this->reserveBeds, [$bed])), notHere: array_values(array_filter($this->notHere,
                static fn (NotHere $one): bool => $isBlockToo || $one->where !== $bed)));
    }

    /**
     * @param array<string, BlockRules>|null       $blocks
     * @param array<string, list<RestingBed>>|null $resting
     * @param list<string>|null                    $reserveBeds
     * @param list<NotHere>|null                   $notHere
     */
    private function but(?array $blocks = null, ?array $resting = null, ?array $reserveBeds = null, ?array $notHere = null): self
    {
        return new self($blocks ?? $this->blocks, $resting ?? $this->resting, $reserveBeds ?? $this->reserveBeds,
            $notHere ?? $this->notHere,
            $this->cycle, $this->methods, $this->keeping, $this->weights, $this->school, $this->lengths, $this->fullTrays, $this->reserve,
            $this->reserveWay, $this->mostSowings, $this->odds, $this->benches, $this->hollow);
    }

    public function block(string $name): BlockRules
    {
        return $this->blocks[$name] ?? new BlockRules();
    }

    /** Whether a bed rests on any day of a stay. */
    public function rests(string $bed, Period $stay): ?RestingBed
    {
        foreach ($this->resting[$bed] ?? [] as $rest) {
            if ($rest->days->overlaps($stay)) {
                return $rest;
            }
        }

        return null;
    }

    /** A rule that keeps a crop off a bed; null: none. */
    public function keepsOff(Crop $crop, Bed $bed): ?NotHere
    {
        foreach ($this->notHere as $one) {
            if (($one->where === $bed->name || $one->where === $bed->block) && \in_array($one->what, [$crop->item(), $crop->key,
                $crop->family], true)) {
                return $one;
            }
        }

        return null;
    }

    /** Place of a rotation group in the cycle; null: it is in none. */
    public function turn(string $group): ?int
    {
        foreach ($this->cycle as $turn => $groups) {
            if (\in_array($group, $groups, true)) {
                return $turn;
            }
        }

        return null;
    }
}
