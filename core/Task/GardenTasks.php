<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\About;
use JollyFurrow\Measure\Length;
use JollyFurrow\Recipe\Tools;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\PathCare;

/** What is done by the block or for the whole garden: paths, crop walks, jobs of the year, the grower's own. */
final readonly class GardenTasks implements TaskSource
{
    public function tasks(Site $site, Period $due): array
    {
        return [...$this->paths($site, $due), ...$this->walks($site, $due), ...$this->yearly($site, $due), ...$this->own($site, $due)];
    }

    /** @return list<Task> */
    private function paths(Site $site, Period $due): array
    {
        $today = $site->garden->today;
        $all = PathCare::between($site->garden, $due->start, $due->last());
        $isBehind = static fn (PathCare $care): bool => [] !== array_filter($all,
            static fn (PathCare $next): bool => $next->block === $care->block
            && $care->day->isBefore($next->day) && !$today->isBefore($next->day));

        return array_map(static fn (PathCare $care): Task => $site->ofPlace(TaskKind::Paths, About::Block, $care->block,
            'paths/'.$care->day->iso(), $care->day, $care->block, [], Length::fromMetres(round($care->metres)), $care->hours,
            $care->paths->work(), $care->paths->tool(), Tools::caution($care->paths->tool()), isTakenOver: $isBehind($care)), $all);
    }

    /** @return list<Task> one a week for every block something grows in, no two blocks on one day where there are few */
    private function walks(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->garden->blocks as $i => $block) {
            $monday = $due->start->week()->monday();
            for ($day = $monday->plus($i % 5); !$due->last()->isBefore($day); $day = $day->plus(7)) {
                if ($due->contains($day) && self::grows($site, $block, $day)) {
                    $tasks[] = $site->ofPlace(TaskKind::Walk, About::Block, $block, 'walk/'.strtolower($day->week()->label()), $day, $block,
                        isTakenOver: !$site->garden->today->isBefore($day->plus(7)));
                }
            }
        }

        return $tasks;
    }

    private static function grows(Site $site, string $block, Day $day): bool
    {
        foreach ($site->garden->plantings as $planting) {
            if ($planting->ground->isBefore($day) && !$planting->clear->isBefore($day) && $site->blockOf($planting) === $block) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Task> */
    private function yearly(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->book->yearly as $job) {
            foreach ([$due->start->year() - 1, $due->start->year(), $due->start->year() + 1] as $year) {
                $day = $job->day($year, $site->garden->place->latitude < 0);
                if ($due->contains($day)) {
                    $tasks[] = $site->ofPlace(TaskKind::Yearly, About::Garden, '', 'yearly/'.$job->key.'/'.$day->year(), $day,
                        hours: $job->hours, name: $job->words, bears: $job->bears, wait: $job->wait);
                }
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    private function own(Site $site, Period $due): array
    {
        $tasks = [];
        foreach ($site->garden->diary->ownJobs as $job) {
            foreach ($job->days($due->start, $due->last()) as $day) {
                $tasks[] = $site->ofPlace(TaskKind::Own, About::OwnJob, $job->key, null === $job->every ? 'once' : $day->iso(), $day,
                    $job->block, hours: $job->hours, name: $job->words, bears: $job->bears, wait: $job->wait);
            }
        }

        return $tasks;
    }
}
