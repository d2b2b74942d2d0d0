<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Time\Day;

/** What each planting is expected to give, week by week, and which market days it serves. */
final readonly class Expected
{
    /**
     * @param array<string, array<int, int>>                   $weeks  planting => Monday => units cut
     * @param array<string, list<array{day: Day, units: int}>> $serves planting => market days
     * @param array<string, float>                             $total  planting => units it gives in all
     */
    private function __construct(public array $weeks, public array $serves, public array $total)
    {
    }

    public static function of(Garden $garden, Plan $plan, CropBook $book): self
    {
        $supply = new TrueSupply($garden, $book);
        $lots = [];
        $byKey = [];
        foreach ($garden->plantings as $planting) {
            $byKey[$planting->key] = $supply->of($planting) ?? $planting;
            $lots[$planting->item] = [...$lots[$planting->item] ?? [], ...$supply->lots($planting)];
        }
        $weeks = [];
        $serves = [];
        $total = [];
        foreach ($lots as $item => $itemLots) {
            $stock = $book->get($item)->pattern->isStock();
            foreach ($itemLots as $lot) {
                $total[$lot->planting] = ($total[$lot->planting] ?? 0.0) + $lot->units;
                if (!$stock) {
                    $monday = Day::of($lot->from)->week()->monday()->number;
                    $weeks[$lot->planting][$monday] = ($weeks[$lot->planting][$monday] ?? 0) + (int) $lot->units;
                }
            }
            foreach ($plan->from[$item] ?? [] as $j => $sources) {
                $day = $plan->needs[$item][$j]->day;
                foreach ($sources as $key => $units) {
                    $serves[$key][] = ['day' => Day::of($day), 'units' => $units];
                    if ($stock && isset($byKey[$key])) {
                        $monday = Day::of(max($byKey[$key]->ready->number,
                            min($day, $byKey[$key]->clear->number)))->week()->monday()->number;
                        $weeks[$key][$monday] = ($weeks[$key][$monday] ?? 0) + $units;
                    }
                }
            }
        }

        return new self($weeks, $serves, $total);
    }
}
