<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Stand;
use JollyFurrow\Recipe\RecipeBook;

/** The cost of the plan, item by item, reckoned once more: new plantings, what waits, what is short. */
final readonly class CostRules
{
    private const TOLERANCE_CENTS = 0.02;
    /** The planner's stated defaults: hours to set up, hours per 100 m to sow and to plant, cents a cell, least cents a unit short. */
    private const SET_UP_HOURS = 0.5;
    private const HOURS = ['sown' => 1.0, 'transplanted' => 4.0];
    private const CENTS_PER_CELL = 3.0;
    private const LEAST_PENALTY = 1.0;

    private Sheet $settings;

    public function __construct(private Sheet $garden, private Sheet $plan, private CropBook $book, private RecipeBook $recipes)
    {
        $this->settings = $garden->part('settings');
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        $told = [];
        foreach ($this->plan->parts('costs') as $cost) {
            $told[$cost->text('item')] = $cost;
        }
        $faults = [];
        foreach ($this->reckoned() as $item => $parts) {
            foreach ($parts as $part => $cents) {
                $says = isset($told[$item]) ? $told[$item]->number($part.'_cents') : 0.0;
                if (abs($says - $cents) > self::TOLERANCE_CENTS + 1e-6 * abs($cents)) {
                    $faults[] = new Fault(FaultKind::CostWrong, $item, \sprintf('%s: %.2f cents, the plan says %.2f.', $part, $cents,
                        $says));
                }
            }
        }

        return $faults;
    }

    /** @return array<string, array<string, float>> item => part => cents */
    private function reckoned(): array
    {
        $values = (new NeedSums($this->garden, $this->book))->values();
        $costs = $ready = [];
        foreach ($this->plan->parts('plantings') as $planting) {
            $item = $planting->text('item');
            if ($this->book->has($item) && $this->recipes->has($planting->text('recipe'))) {
                $costs[$item]['plantings'] = ($costs[$item]['plantings'] ?? 0.0) + $this->planting($planting, $this->book->grown($item,
                    $planting->text('variety')));
                $ready[$planting->text('key')] = $planting->day('ready') ?? 0;
            }
        }
        foreach ($this->plan->parts('supply') as $supply) {
            $item = $supply->text('item');
            $stock = $this->book->has($item) && \in_array($this->book->get($item)->pattern, [Pattern::Once, Pattern::DigAsNeeded], true);
            foreach ($stock ? $supply->parts('days') : [] as $row) {
                foreach (array_intersect_key($row->numbers('from'), $ready) as $key => $units) {
                    $costs[$item]['keeping'] = ($costs[$item]['keeping']
                        ?? 0.0) + $this->settings->number('keeping_share') * ($values[$item] ?? 0.0) * $units * max(0,
                            ($row->day('day') ?? 0) - $ready[$key]);
                }
            }
        }
        foreach ($this->plan->parts('short') as $short) {
            $item = $short->text('item');
            $costs[$item]['shortage'] = ($costs[$item]['shortage'] ?? 0.0) + $short->number('units') * max(self::LEAST_PENALTY,
                $this->settings->number('shortage_factor') * ($values[$item] ?? 0.0));
        }

        return $costs;
    }

    private function planting(Sheet $planting, Crop $crop): float
    {
        $metres = array_sum(array_map(static fn (Sheet $s): float => $s->number('to_mm') - $s->number('from_mm'),
            $planting->parts('pieces'))) / 1000;
        $method = $planting->text('method');
        $hours = $this->recipes->get($planting->text('recipe'))->hoursPer100Metres() + (self::HOURS[$method] ?? 0.0);
        $cells = 'transplanted' === $method ? self::cells($crop->standFor(Method::Transplanted)) : 0.0;
        $days = ($planting->day('clear') ?? 0) - ($planting->day('bed_start') ?? 0) + 1;
        $rent = $this->settings->part('rent')->number($planting->text('place'));
        $wage = $this->settings->number('wage');

        return self::SET_UP_HOURS * $wage + $metres * ($hours / 100 * $wage + $cells * self::CENTS_PER_CELL + $days * $rent / 7);
    }

    /** Cells sown for a metre of bed. */
    private static function cells(Stand $stand): float
    {
        return $stand->rows / $stand->inRow->metres() / (1 - $stand->trayLoss);
    }
}
