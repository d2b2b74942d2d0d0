<?php

declare(strict_types=1);

namespace JollyFurrow\Shed;

use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\ShedProduct;

/**
 * One mix for some beds: its proportions from their mean need by area, and of it on each bed the least at which no nutrient
 * is short by more than is allowed.
 */
final readonly class Mix
{
    /**
     * @param list<array{product: ShedProduct, share: float, kg: float|null}> $parts    share of the weight; kilograms of whole steps
     * @param list<BedDose>                                                   $beds
     * @param list<Nutrient>                                                  $lacking  needed, and nothing in the shed carries it
     * @param bool                                                            $isWithin the allowed excess is kept by the mean of the beds
     * @param float                                                           $cents    of the product
     * @param float                                                           $excess   grams over the needs, all together
     */
    private function __construct(public array $parts, public array $beds, public array $lacking, public bool $isWithin,
        public float $cents, public float $excess)
    {
    }

    /**
     * Null: a bed needs a nutrient the mix lacks.
     *
     * @param non-empty-list<BedNeed> $needs
     * @param Nutrients|null          $allowed grams a square metre over the need; null: any
     * @param float                   $short   share of a need that may be missing
     * @param bool                    $inSteps of whole scoops and buckets for all the beds together; else to the gram
     */
    public static function of(array $needs, ProductChoice $choice, ?Nutrients $allowed, float $short, bool $inSteps = false): ?self
    {
        $area = array_sum(array_map(static fn (BedNeed $b): float => $b->area->squareMetres, $needs));
        $mean = Nutrients::sum(array_map(static fn (BedNeed $b): Nutrients => $b->need->times($b->area->squareMetres / $area), $needs));
        $dose = $inSteps ? $choice->weighable($mean->times($area / 1000), $allowed?->times($area / 1000))
            : $choice->exact($mean->times($area / 1000), $allowed?->times($area / 1000));
        $kg = $dose->kilograms() / $area;
        $gives = $dose->gives->times(1000.0 / $area);
        $beds = [];
        foreach ($needs as $bed) {
            $times = self::times($bed->need, $gives, $dose->lacking, $short);
            if (null === $times) {
                return null;
            }
            $beds[] = self::dosed($bed, $times, $kg, $gives, $dose->lacking);
        }
        usort($beds, static fn (BedDose $a, BedDose $b): int => strnatcmp($a->bed->bed.' '.$a->bed->key, $b->bed->bed.' '.$b->bed->key));
        $all = array_sum(array_map(static fn (BedDose $b): float => $b->kg, $beds));
        $parts = array_map(static fn (array $part): array => ['product' => $part['product'],
            'share' => $part['kg'] / max(1e-12, $kg * $area), 'kg' => $inSteps ? $part['kg'] : null],
            $dose->parts);

        return new self($parts, $beds, $dose->lacking, $dose->isWithin, $kg > 0.0 ? $dose->cents
            * ($inSteps ? 1.0 : $all / ($kg * $area)) : 0.0,
            array_sum(array_map(static fn (BedDose $b): float => array_sum($b->excess->list()) * $b->bed->area->squareMetres, $beds)));
    }

    /** Kilograms of one part in whole steps, at least what is wanted. */
    public function kilograms(ShedProduct $product): float
    {
        foreach ($this->parts as $part) {
            if ($part['product'] === $product) {
                return $part['kg'] ?? ceil($part['share'] * $this->weight() / $product->step - 1e-6) * $product->step;
            }
        }

        return 0.0;
    }

    /** Kilograms in all. */
    public function weight(): float
    {
        return array_sum(array_map(static fn (BedDose $b): float => $b->kg, $this->beds));
    }

    /**
     * How many times the mean dose a bed takes.
     *
     * @param list<Nutrient> $lacking
     */
    private static function times(Nutrients $need, Nutrients $gives, array $lacking, float $short): ?float
    {
        $times = 0.0;
        foreach (Nutrient::cases() as $nutrient) {
            $wanted = $need->get($nutrient);
            if ($wanted <= 1e-9 || \in_array($nutrient, $lacking, true)) {
                continue;
            }
            if ($gives->get($nutrient) <= 1e-12) {
                return null;
            }
            $times = max($times, (1 - $short) * $wanted / $gives->get($nutrient));
        }

        return $times;
    }

    /** @param list<Nutrient> $lacking */
    private static function dosed(BedNeed $bed, float $times, float $kg, Nutrients $gives, array $lacking): BedDose
    {
        $given = $gives->times($times);
        $short = 0.0;
        foreach (Nutrient::cases() as $nutrient) {
            $need = $bed->need->get($nutrient);
            $short = $need <= 1e-9 || \in_array($nutrient, $lacking, true) ? $short : max($short, ($need - $given->get($nutrient)) / $need);
        }

        return new BedDose($bed, $times * $kg * $bed->area->squareMetres, $given, max(0.0, $short),
            $given->minus($bed->need)->atLeastNone());
    }
}
