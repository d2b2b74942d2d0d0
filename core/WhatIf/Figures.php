<?php

declare(strict_types=1);

namespace JollyFurrow\WhatIf;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Need\Values;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\PlanFigures;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Why\TightWeeks;

/** A garden's plan from today on in the figures two gardens are held against each other by. */
final readonly class Figures
{
    private const WEEK = 7;
    private const WHOLE = 100;
    private const NAMED = 3;

    /**
     * @param float        $kept       per cent of what is promised
     * @param float        $takings    of what is served; left: less plants and work. Cents
     * @param float        $metreWeeks of bed, preparation included
     * @param int          $tight      weeks in which nearly all beds of one kind are taken
     * @param list<string> $short      crops that are short for most money, the dearest first
     */
    private function __construct(public float $kept, public float $takings, public float $left, public float $hours,
        public float $metreWeeks, public int $tight, public array $short)
    {
    }

    public static function of(Garden $garden, CropBook $crops, RecipeBook $recipes): self
    {
        $planner = new Planner($crops, $recipes);
        $plan = PlanFigures::of($garden, $planner, $crops, $recipes);
        $tight = [];
        foreach (TightWeeks::of($garden, $crops, []) as $one) {
            for ($day = $one->from->number; $day <= $one->until->number; $day += self::WEEK) {
                $tight[Day::of($day)->week()->monday()->number] = true;
            }
        }

        return new self(self::WHOLE * $plan->kept, $plan->income, $plan->left(), $plan->hours, $plan->bedDays / self::WEEK,
            \count($tight), self::short($planner->asItStands($garden), Values::of($garden), $crops));
    }

    /**
     * @param array<string, float> $values cents a unit, by item
     *
     * @return list<string>
     */
    private static function short(Plan $plan, array $values, CropBook $crops): array
    {
        $cents = [];
        foreach ($plan->shortages as $short) {
            $name = $crops->get($short->item)->name;
            $cents[$name] = ($cents[$name] ?? 0.0) + $short->units * ($values[$short->item] ?? 0.0);
        }
        arsort($cents);

        return \array_slice(array_map('strval', array_keys($cents)), 0, self::NAMED);
    }

    /** @return array<string, Quantity> by name, in the order they are told */
    public function all(): array
    {
        return ['kept' => Quantity::of($this->kept, Unit::Percent), 'takings' => Quantity::of($this->takings, Unit::Cent),
            'left' => Quantity::of($this->left, Unit::Cent), 'hours' => Quantity::of($this->hours, Unit::Hour),
            'metre-weeks' => Quantity::of($this->metreWeeks, Unit::Metre), 'tight' => Quantity::of($this->tight, Unit::None)];
    }
}
