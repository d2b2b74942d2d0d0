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
     * In whole steps of what is weighed or scooped.
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
        foreach ($this->ways($need, $allowed, $inSteps) as [$most, $isWithin, $isThere]) {
            $kg = $this->solved($gives, $need, $most, $isThere, $inSteps);
            if (null !== $kg) {
                return $this->dose($kg, $need, $lacking, $isWithin, $isThere);
            }
        }

        return $this->dose([], $need, $lacking, false, false);
    }

    /**
     * What is tried one after the other: all that is asked; a step more of excess, where steps are coarse; more than is in the
     * shed, to be bought; any excess.
     *
     * @return list<array{Nutrients, bool, bool}> most of each nutrient; within what is allowed; from what is there
     */
    private function ways(Nutrients $need, ?Nutrients $allowed, bool $inSteps): array
    {
        $any = Nutrients::of(\INF, \INF, \INF);
        if (null === $allowed) {
            return [[$any, true, true], [$any, true, false]];
        }
        $most = $need->plus($allowed);
        $coarse = $most->plus($this->coarsestStep());

        return [[$most, true, true], ...($inSteps ? [[$coarse, true, true]] : []), [$most, true, false],
            ...($inSteps ? [[$coarse, true, false]] : []), [$any, false, true], [$any, false, false]];
    }

    /** What one step gives at most, of each nutrient. */
    private function coarsestStep(): Nutrients
    {
        $most = [0.0, 0.0, 0.0];
        foreach ($this->shed as $product) {
            foreach ($product->releases()->times($product->step)->list() as $i => $gives) {
                $most[$i] = max($most[$i], $gives);
            }
        }

        return Nutrients::of(...$most);
    }

    /**
     * @param list<array{float, float, float}> $gives
     *
     * @return array<int, float>|null
     */
    private function solved(array $gives, Nutrients $need, Nutrients $most, bool $isThere, bool $inSteps): ?array
    {
        $doses = new Doses($gives, array_map(static fn (ShedProduct $p): float => $p->cents, $this->shed),
            array_map(static fn (ShedProduct $p): float => $p->step, $this->shed),
            array_map(static fn (ShedProduct $p): float => $isThere ? $p->stock ?? \INF : \INF, $this->shed), $need->list(), $most->list());

        return $inSteps ? $doses->inWholeSteps() : $doses->cheapest();
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
