<?php

declare(strict_types=1);

namespace App\Climate;

use JollyFurrow\Climate\InvalidClimate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Climate\PastedMonths;

/** Twelve months as they are pasted, in the units they were pasted in. */
final readonly class TypedMonths
{
    /** @param string $fault what is wrong; empty: nothing */
    private function __construct(public ?MonthlyMeans $months, public string $fault)
    {
    }

    public static function of(string $pasted, bool $isFahrenheit, bool $isInch): self
    {
        $read = PastedMonths::read($pasted);
        foreach (['min' => 'minimum', 'max' => 'maximum', 'rain' => 'rain'] as $what => $words) {
            $missing = MonthlyMeans::MONTHS[\count($read[$what])] ?? null;
            if (null !== $missing && ('rain' !== $what || [] !== $read['rain'])) {
                return new self(null,
                    \sprintf('%s has no %s yet. Twelve numbers in each of the three lines are needed; rain may be left out.',
                        $missing, $words));
            }
        }
        $celsius = static fn (float $t): float => $isFahrenheit ? round(($t - 32) / 1.8, 2) : $t;
        $millimetres = static fn (float $depth): float => $depth * ($isInch ? 25.4 : 1.0);
        try {
            return new self(MonthlyMeans::of(array_map($celsius, $read['min']), array_map($celsius, $read['max']), [] === $read['rain']
                ? null
                : array_map($millimetres, $read['rain'])), '');
        } catch (InvalidClimate $bad) {
            return new self(null, $bad->getMessage());
        }
    }
}
