<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Map\GroundMap;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Units;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Weekday;

/**
 * The garden's own choices. Costs are in cents.
 *
 * Rent is what a metre of bed is worth for a week; the shortage factor says how much worse an
 * unkept promise is than its price. Both steer the planner and are stated, positive defaults.
 */
final readonly class Settings
{
    /**
     * @param non-empty-list<Weekday> $sowingDays
     * @param array<string, float>    $rent       cents per bed metre and week, by place type
     * @param array<string, int>      $rotation   years between crops of one family, by place type; 0: none
     * @param array<string, int>      $kit        micrometres of bed it is enough for, by Kit; not named: not counted
     * @param DateForm|null           $dateForm   null: as is usual with the units
     * @param string                  $timeZone   by its name in the tz database; empty: the server's
     */
    public function __construct(
        public Units $units,
        public string $currency,
        public array $sowingDays,
        public string $recipe,
        public array $rent,
        public float $shortageFactor,
        public float $keepingShare,
        public int $wage,
        public array $rotation,
        public Length $compostDepth,
        public float $nitrogenRate,
        public float $fertiliserNitrogen,
        public array $kit = [],
        public PlanRules $rules = new PlanRules(),
        public ?DateForm $dateForm = null,
        public string $timeZone = '',
        public GroundMap $map = new GroundMap(),
    ) {
    }

    /** The same but for how the plan is drawn up. */
    public function ruledBy(PlanRules $rules): self
    {
        return new self($this->units, $this->currency, $this->sowingDays, $this->recipe, $this->rent, $this->shortageFactor,
            $this->keepingShare, $this->wage, $this->rotation, $this->compostDepth, $this->nitrogenRate, $this->fertiliserNitrogen,
            $this->kit, $rules, $this->dateForm, $this->timeZone, $this->map);
    }

    /** The same but for how the blocks lie. */
    public function mapped(GroundMap $map): self
    {
        return new self($this->units, $this->currency, $this->sowingDays, $this->recipe, $this->rent, $this->shortageFactor,
            $this->keepingShare, $this->wage, $this->rotation, $this->compostDepth, $this->nitrogenRate, $this->fertiliserNitrogen,
            $this->kit, $this->rules, $this->dateForm, $this->timeZone, $map);
    }

    /** How dates are written: as chosen, else as is usual with the units. */
    public function dates(): DateForm
    {
        return $this->dateForm ?? DateForm::usual($this->units);
    }

    public function rentAt(PlaceType $place): float
    {
        return $this->rent[$place->value] ?? 0.0;
    }

    public static function usual(Units $units = Units::Metric, string $timeZone = ''): self
    {
        return new self(
            $units,
            Units::Metric === $units ? 'EUR' : 'USD',
            [Weekday::Tuesday],
            'compost-mulch',
            ['field' => 20.0, 'tunnel' => 60.0, 'heated' => 90.0],
            1.5,
            0.002,
            1800,
            ['field' => 3, 'tunnel' => 0, 'heated' => 0],
            Length::fromCentimetres(2),
            10.0,
            10.0,
            timeZone: $timeZone,
        );
    }
}
