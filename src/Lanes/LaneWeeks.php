<?php

declare(strict_types=1);

namespace App\Lanes;

use App\Books\SoilTables;
use App\Job\Sites;
use App\Wall\Lane;
use JollyFurrow\Bench\BenchLoad;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Irrigation\ValveWeek;
use JollyFurrow\Irrigation\WaterPlan;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;

/** Hours against hands, trays against the bench, water against the source: by week from this one on. */
final readonly class LaneWeeks
{
    /** Trays are foreseen so far ahead, water as long as means of the climate carry it. */
    private const MOST_WEEKS = 52;

    public function __construct(private Sites $sites, private SoilTables $tables)
    {
    }

    /** @return list<LaneWeek> from this week on, up to a day */
    public function of(Lane $lane, string $gardenId, Day $end): array
    {
        $site = $this->sites->of($gardenId);
        $weeks = max(0, min(self::MOST_WEEKS, intdiv($end->since($site->garden->today->week()->monday()) + 6, 7)));

        return 0 === $weeks ? [] : match ($lane) {
            Lane::Hours => self::hours($site, $weeks),
            Lane::Bench => self::bench($site, $weeks),
            Lane::Water => $this->water($site, $weeks),
            default => [],
        };
    }

    /** @return list<LaneWeek> hours of work on the days it is placed */
    private static function hours(Site $site, int $weeks): array
    {
        $monday = $site->garden->today->week()->monday();
        $hours = WorkWeek::hoursAhead($site, TaskList::usual(), $weeks);

        return array_map(static fn (int $n): LaneWeek => new LaneWeek($monday->plus(7 * $n), round($hours[$n], 1),
            self::hands($site->garden->diary->workers, $monday->plus(7 * $n))), range(0, $weeks - 1));
    }

    /** @param list<Worker> $workers */
    private static function hands(array $workers, Day $monday): ?float
    {
        return [] === $workers ? null : array_sum(array_map(static fn (Worker $w): float => array_sum(array_map(
            static fn (int $d): float => $w->hoursOn($monday->plus($d)), range(0, 6))), $workers));
    }

    /** @return list<LaneWeek> trays on mat and bench on the fullest day */
    private static function bench(Site $site, int $weeks): array
    {
        $load = BenchLoad::of($site->garden, $site->crops, $weeks);

        return array_map(static fn ($week): LaneWeek => new LaneWeek($week->monday, round($week->onMat + $week->onBench, 1),
            0 === $load->room->bench ? null : (float) $load->room->bench), $load->weeks);
    }

    /** @return list<LaneWeek> litres */
    private function water(Site $site, int $weeks): array
    {
        $plan = WaterPlan::of($site->garden, $site->crops, $site->recipes, $this->tables->water(), $site->weather->outlook, $weeks);
        $list = [];
        foreach ($plan->weeks as $monday => $valves) {
            $list[] = new LaneWeek(Day::of($monday), round(array_sum(array_map(static fn (ValveWeek $v): float => $v->litres, $valves))),
                $plan->source);
        }

        return $list;
    }
}
