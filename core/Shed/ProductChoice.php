<?php

declare(strict_types=1);

namespace JollyFurrow\Shed;

use JollyFurrow\Shed\Kernel\Doses;
use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\ShedProduct;

/**
 * Chooses from the shed at least cost, so that no nutrient is short and none above what is allowed over the need. What
 * cannot be kept within the allowed excess is chosen without it, and says so.
 */
final readonly class ProductChoice
{
    /** A scoop is filled whole, by the half or by the quarter. */
    private const PARTS = [1, 2, self::FINEST];
    private const FINEST = 4;

    /** @param list<ShedProduct> $shed in the order of their keys */
    private function __construct(private array $shed)
    {
    }

    /** @param list<ShedProduct> $shed */
    public static function from(array $shed): self
    {
        usort($shed, static fn (ShedProduct $a, ShedProduct $b): int => $a->key <=> $b->key);

        return new self($shed);
    }

    /**
     * To the gram.
     *
     * @param Nutrients      $need    kilograms
     * @param Nutrients|null $allowed kilograms over it; null: any
     */
    public function exact(Nutrients $need, ?Nutrients $allowed = null): Dose
    {
        return $this->chosen($need, $allowed, false);
    }

    /**
     * In whole steps of what is weighed or scooped; where they are too coarse, in halves or quarters.
     *
     * @param Nutrients      $need    kilograms
     * @param Nutrients|null $allowed kilograms over it; null: any
     */
    public function weighable(Nutrients $need, ?Nutrients $allowed = null): Dose
    {
        return $this->chosen($need, $allowed, true);
    }

    private function chosen(Nutrients $need, ?Nutrients $allowed, bool $inSteps): Dose
    {
        $gives = array_map(static fn (ShedProduct $p): array => $p->releases()->list(), $this->shed);
        $lacking = [];
        $left = $need->atLeastNone()->list();
        foreach (Nutrient::cases() as $i => $nutrient) {
            if ($left[$i] > 1e-9 && [] === array_filter($gives, static fn (array $g): bool => $g[$i] > 0.0)) {
                $lacking[] = $nutrient;
                $left[$i] = 0.0;
            }
        }
        $need = Nutrients::of(...$left);
        foreach ($this->ways($need, $allowed, $inSteps) as [$most, $isWithin, $isThere, $parts]) {
            $kg = $this->solved($gives, $need, $most, $isThere, $parts);
            if (null !== $kg) {
                return $this->dose($kg, $need, $lacking, $isWithin, $isThere);
            }
        }

        return $this->dose([], $need, $lacking, false, false);
    }

    /**
     * What is tried one after the other: all that is asked; halves and quarters of a scoop; a step more of excess, of the finest
     * scoop first, where steps are coarse; more than is in the shed, to be bought; any excess.
     *
     * @return list<array{Nutrients, bool, bool, int}> most of each nutrient; within what is allowed; from what is there; parts of
     *                                                 a step that are measured out, 0: to the gram
     */
    private function ways(Nutrients $need, ?Nutrients $allowed, bool $inSteps): array
    {
        $any = Nutrients::of(\INF, \INF, \INF);
        $finest = $inSteps ? self::FINEST : 0;
        if (null === $allowed) {
            return [[$any, true, true, (int) $inSteps], [$any, true, false, (int) $inSteps]];
        }
        $most = $need->plus($allowed);
        $ways = [];
        foreach ([true, false] as $isThere) {
            foreach ($inSteps ? self::PARTS : [0] as $parts) {
                $ways[] = [$most, true, $isThere, $parts];
            }
            foreach ($inSteps ? $this->coarser() : [] as $step) {
                $ways[] = [$most->plus($step->times(1 / self::FINEST)), true, $isThere, $finest];
            }
        }

        return [...$ways, [$any, false, true, $finest], [$any, false, false, $finest]];
    }

    /**
     * What one step gives at most of each nutrient: of the finest product, of the two finest, and so on up to a barrow, which on
     * a short piece of bed would be far too much.
     *
     * @return list<Nutrients>
     */
    private function coarser(): array
    {
        $steps = array_map(static fn (ShedProduct $p): array => $p->releases()->times($p->step)->list(), $this->shed);
        usort($steps, static fn (array $a, array $b): int => [array_sum($a), $a] <=> [array_sum($b), $b]);
        $most = [0.0, 0.0, 0.0];
        $all = [];
        foreach ($steps as $step) {
            $most = array_map(static fn (float $a, float $b): float => max($a, $b), $most, $step);
            $all[] = Nutrients::of(...$most);
        }

        return $all;
    }

    /**
     * @param list<array{float, float, float}> $gives
     *
     * @return array<int, float>|null
     */
    private function solved(array $gives, Nutrients $need, Nutrients $most, bool $isThere, int $parts): ?array
    {
        $doses = new Doses($gives, array_map(static fn (ShedProduct $p): float => $p->cents, $this->shed),
            array_map(static fn (ShedProduct $p): float => $p->step / max(1, $parts), $this->shed),
            array_map(static fn (ShedProduct $p): float => $isThere ? $p->stock ?? \INF : \INF, $this->shed), $need->list(), $most->list());

        return $parts > 0 ? $doses->inWholeSteps() : $doses->cheapest();
    }

    /**
     * @param array<int, float> $kg
     * @param list<Nutrient>    $lacking
     */
    private function dose(array $kg, Nutrients $need, array $lacking, bool $isWithin, bool $isThere): Dose
    {
        ksort($kg);
        $parts = [];
        $gives = Nutrients::none();
        $cents = 0.0;
        foreach ($kg as $j => $x) {
            $parts[] = ['product' => $this->shed[$j], 'kg' => $x];
            $gives = $gives->plus($this->shed[$j]->releases()->times($x));
            $cents += $x * $this->shed[$j]->cents;
        }

        return new Dose($parts, $gives, $gives->minus($need)->atLeastNone(), $cents, $lacking, $isWithin, $isThere);
    }
}
