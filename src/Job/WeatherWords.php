<?php

declare(strict_types=1);

namespace App\Job;

use JollyFurrow\Job\Job;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Time\Day;

/**
 * What the weather does to the week: rain to come, when the soil opens, cold nights, hot days.
 *
 * @phpstan-type Night array{day: Day, low: float|null, beds: list<string>, metres: float}
 */
final readonly class WeatherWords
{
    /**
     * @param list<array{day: Day, mm: float}> $rains         to come
     * @param Day|null                         $opens         when dry work can go on; null: it can today
     * @param int                              $moved         jobs that rain moved
     * @param list<Night>                      $nights        to cover for
     * @param list<Day>                        $hot
     * @param bool                             $isForetold    somebody tells what is to come
     * @param bool                             $isDryTomorrow it is wet today and dry tomorrow
     */
    private function __construct(public array $rains, public ?Day $opens, public int $moved, public array $nights, public array $hot,
        public bool $isDryTomorrow, public bool $isForetold)
    {
    }

    public static function of(Site $site, WorkWeek $week): self
    {
        $today = $site->garden->today;
        $rains = $hot = $nights = [];
        foreach ($week->days as $day) {
            if ($day->day->isBefore($today)) {
                continue;
            }
            $rains = $site->weather->isRainy($day->day) ? [...$rains, ['day' => $day->day, 'mm' => $site->weather->rain($day->day)]]
                : $rains;
            foreach ($day->open() as $job) {
                $hot = TaskKind::Heat === $job->kind ? [...$hot, $day->day] : $hot;
                $nights = TaskKind::Tonight === $job->kind ? self::night($nights, $job, $day->day, $site) : $nights;
            }
        }
        $open = array_filter($week->jobs(), static fn (Job $job): bool => $job->isOpen() && $job->isMoved());

        return new self($rains, $site->weather->isOpen($today) ? null : $site->weather->opens($today), \count($open),
            array_values($nights), $hot, $site->weather->isRainy($today) && !$site->weather->isRainy($today->plus(1)),
            $site->weather->outlook->days() > 0);
    }

    /**
     * @param array<int, Night> $nights
     *
     * @return array<int, Night>
     */
    private static function night(array $nights, Job $job, Day $day, Site $site): array
    {
        $is = $nights[$day->number] ?? ['day' => $day, 'low' => $site->weather->nightAfter($day), 'beds' => [], 'metres' => 0.0];
        $nights[$day->number] = [...$is, 'beds' => [...$is['beds'], ...$job->beds()],
            'metres' => $is['metres'] + ('cover' === $job->name ? $job->length()->metres() : 0.0)];

        return $nights;
    }
}
