<?php

declare(strict_types=1);

namespace JollyFurrow\Need;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Time\Period;

/** What is promised in a season, summed up by market day, product and outlet, and what it brings if all is kept. Cents. */
final readonly class SeasonTotals
{
    /**
     * @param array<int, array<string, float>>    $byDay     cents by day number and outlet
     * @param array<string, array<string, float>> $quantity  units by product and outlet
     * @param array<string, float>                $byProduct cents
     * @param array<string, float>                $byOutlet  cents
     */
    private function __construct(public array $byDay, public array $quantity, public array $byProduct, public array $byOutlet,
        public float $income)
    {
    }

    public static function of(Garden $garden, Period $season): self
    {
        $prices = [];
        foreach ($garden->products as $product) {
            $prices[$product->key] = $product->price->cents;
        }
        $byDay = $quantity = $byProduct = $byOutlet = [];
        $income = 0.0;
        foreach ($garden->promises as $promise) {
            if (!$season->contains($promise->day)) {
                continue;
            }
            $cents = $promise->quantity * $prices[$promise->product];
            $byDay[$promise->day->number][$promise->outlet] = ($byDay[$promise->day->number][$promise->outlet] ?? 0.0) + $cents;
            $quantity[$promise->product][$promise->outlet] = ($quantity[$promise->product][$promise->outlet] ?? 0.0) + $promise->quantity;
            $byProduct[$promise->product] = ($byProduct[$promise->product] ?? 0.0) + $cents;
            $byOutlet[$promise->outlet] = ($byOutlet[$promise->outlet] ?? 0.0) + $cents;
            $income += $cents;
        }
        ksort($byDay);
        arsort($byProduct);

        return new self($byDay, $quantity, $byProduct, $byOutlet, $income);
    }
}
