<?php

declare(strict_types=1);

namespace App\Job;

use App\Diary\DiaryKeeper;
use App\Log\ChangeLog;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use JollyFurrow\Bench\BenchLoad;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\JobGroup;
use JollyFurrow\Job\Relief;
use JollyFurrow\Job\TaskState;
use JollyFurrow\Job\WorkDay;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Week;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** This week: what to do, where, in which order, with what. */
final class WeekController extends Page
{
    /** Weeks that can be looked at, from today's. */
    private const BACK = 12;
    private const AHEAD = 52;
    /** The bench is looked at so far ahead. */
    private const BENCH_WEEKS = 6;

    public function __construct(private readonly Sites $sites, private readonly JobWords $words)
    {
    }

    #[Route('/g/{garden}/week', name: 'week', methods: ['GET'])]
    public function week(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $today = $site->garden->today;
        $week = WorkWeek::of($site, TaskList::usual(), self::asked($request->query->getInt('on'), $today));
        $now = $week->day($today);
        $ahead = array_values(array_filter($week->days, static fn (WorkDay $d): bool => $today->isBefore($d->day)));

        return $this->page($request, 'job/week.html.twig', [
            'visit' => $visit,
            'garden' => $site->garden,
            'week' => $week,
            'on' => intdiv($week->week->monday()->since($today->week()->monday()), 7),
            'ridges' => DayRidges::of($week, $site->weather),
            'now' => $now,
            'groups' => null === $now ? [] : array_map(fn (array $jobs): array => $this->lines($jobs, $site), self::grouped($now->open())),
            'days' => array_map(fn (WorkDay $d): array => ['day' => $d, 'lines' => $this->lines($d->open(), $site)], $ahead),
            'done' => $this->lines(self::in($week, TaskState::Done), $site),
            'left' => $this->lines([...self::in($week, TaskState::Left), ...self::in($week, TaskState::Lapsed)], $site),
            'reliefs' => array_map(fn (Relief $r): array => ['relief' => $r, 'moves' => array_map(fn (array $m): array => [...$m,
                'line' => JobLine::of($m['job'], $site, $this->words)], $r->moves), 'leave' => $this->lines($r->leave, $site)],
                Relief::of($week)),
            'weather' => WeatherWords::of($site, $week),
            'full' => BenchLoad::of($site->garden, $site->crops, self::BENCH_WEEKS)->full(),
        ], 'week');
    }

    /** It hailed today: leaves and fruit are looked at tomorrow. */
    #[Route('/g/{garden}/week/hail', name: 'week_hail', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function hail(Visit $visit, ChangeLog $log, DiaryKeeper $diary): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $today = $site->garden->today;
        if ($site->hailed($today)) {
            $this->addFlash('done', 'The hail of today is noted already.');

            return $this->seeOther('week', ['garden' => $visit->gardenId]);
        }
        $words = 'Hail on '.$this->sayer->shortDay($today);
        $log->record($visit->gardenId, $visit->accountId, $words, static fn () => $diary->mark($visit->gardenId,
            [new Mark(Site::hail($today), MarkKind::Done, $today)]));

        return $this->kept($visit, $words.': a look at the beds is on the list for tomorrow.',
            $this->generateUrl('week', ['garden' => $visit->gardenId]));
    }

    /**
     * @param list<Job> $jobs
     *
     * @return list<JobLine>
     */
    private function lines(array $jobs, Site $site): array
    {
        return JobLine::all($jobs, $site, $this->words);
    }

    private static function asked(int $on, Day $today): Week
    {
        return $today->plus(7 * max(-self::BACK, min(self::AHEAD, $on)))->week();
    }

    /**
     * @param list<Job> $jobs
     *
     * @return array<string, list<Job>> by group, in the order they are looked at
     */
    private static function grouped(array $jobs): array
    {
        $groups = [];
        foreach (JobGroup::cases() as $group) {
            $groups[$group->value] = array_values(array_filter($jobs, static fn (Job $job): bool => $job->group() === $group));
        }

        return array_filter($groups, static fn (array $in): bool => [] !== $in);
    }

    /** @return list<Job> */
    private static function in(WorkWeek $week, TaskState $state): array
    {
        return array_values(array_filter($week->jobs(), static fn (Job $job): bool => $job->state === $state));
    }
}
