<?php

declare(strict_types=1);

namespace App\Job;

use App\Crop\SheetFile;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\Carry;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\TaskList;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The week on paper, as a list, and typed back from paper: all done but what is named. */
final class SheetController extends Page
{
    public function __construct(private readonly Sites $sites, private readonly JobWords $words)
    {
    }

    /** One person's days, or one block's jobs; with labels for the trays sown. */
    #[Route('/g/{garden}/week/sheet', name: 'week_sheet', methods: ['GET'])]
    public function sheet(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $week = $this->week($request, $site);
        $who = array_values(array_filter($site->garden->diary->workers,
            static fn ($w): bool => $w->name === $request->query->getString('who')))[0]
            ?? null;
        $block = $request->query->getString('block');
        $days = [];
        foreach ($week->days as $day) {
            $open = array_values(array_filter($day->open(), static fn (Job $job): bool => '' === $block || $job->block === $block));
            if ([] !== $open && (null === $who || $who->hoursOn($day->day) > 0.0)) {
                $days[] = ['day' => $day, 'lines' => JobLine::all($open, $site, $this->words),
                    'hours' => array_sum(array_map(static fn (Job $job): float => $job->hours(), $open))];
            }
        }

        return $this->page($request, 'job/sheet.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'week' => $week, 'days' => $days,
            'on' => $request->query->getInt('on'), 'who' => $who, 'block' => $block, 'crops' => $site->crops,
                'labels' => $this->labels($week, $site)], 'sheet');
    }

    #[Route('/g/{garden}/week/jobs.csv', name: 'week_csv', methods: ['GET'])]
    public function csv(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $rows = [['day', 'job', 'crop', 'where', 'block', 'length m', 'hours', 'at the latest', 'is', 'costs to leave']];
        foreach ($this->week($request, $site)->jobs() as $job) {
            $line = JobLine::of($job, $site, $this->words);
            $rows[] = [$job->day->iso(), $line->verb, $line->what, $line->where, $job->block, (string) round($job->length()->metres(), 2),
                (string) round($job->hours(), 2), $job->last()->iso(), $job->state->value, number_format($job->cents() / 100, 2, '.', '')];
        }

        return new Response(SheetFile::toCsv($rows), headers: ['Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="jobs.csv"', 'Cache-Control' => 'no-store']);
    }

    #[Route('/g/{garden}/week/back', name: 'week_back', methods: ['GET'])]
    public function back(Request $request, Visit $visit): Response
    {
        return $this->showBack($request, $visit, $this->sites->of($visit->gardenId), Entry::fresh(), '');
    }

    #[Route('/g/{garden}/week/back', name: 'week_back_keep', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function keepBack(Request $request, Visit $visit, JobChanges $changes): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $doings = [];
        foreach ($this->upToToday($this->week($request, $site)) as $job) {
            $doing = $this->typed($entry, $job, $site);
            $doings = null === $doing ? $doings : [...$doings, $doing];
        }
        $problem = '';
        if ($entry->isGood() && [] === $doings) {
            $problem = 'Nothing was marked as done.';
        }
        if ($entry->isGood() && [] !== $doings) {
            try {
                return $this->kept($visit, $changes->keepAll($visit->gardenId, $visit->accountId, $doings), $this->generateUrl('week',
                    ['garden' => $visit->gardenId]));
            } catch (Meanwhile|BadInput $not) {
                $problem = $this->sayer->why($not);
            }
        }

        return $this->showBack($request, $visit, $site, $entry, $problem);
    }

    /** Ticked: done; a length beside it: so much of it; neither: it stays on the list. */
    private function typed(Entry $entry, Job $job, Site $site): ?Doing
    {
        $length = $entry->raw('length-'.$job->key);
        $isDone = \in_array($job->key, $entry->several('done'), true);
        if (!$isDone && '' === $length) {
            return null;
        }
        $fields = ['t' => array_map(static fn (PlacedTask $p): string => $p->task->id->text(), $job->tasks),
            'do' => '' === $length ? MarkKind::Done->value : MarkKind::Part->value, 'length' => $length, 'who' => $entry->raw('who'),
            'day' => $entry->raw('day')];
        $one = new Entry($fields);
        $doing = Doing::read($one, $site->garden);
        foreach ($one->faults() as $field => $fault) {
            $entry->fault('length' === $field ? 'length-'.$job->key : $field, $fault);
        }

        return $doing;
    }

    private function showBack(Request $request, Visit $visit, Site $site, Entry $entry, string $problem): Response
    {
        $week = $this->week($request, $site);

        return $this->page($request, 'job/back.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'week' => $week,
            'lines' => JobLine::all($this->upToToday($week), $site, $this->words), 'entry' => $entry, 'problem' => $problem], 'back',
            $entry->isBegun() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK);
    }

    /** @return list<Job> that were to be done by today */
    private function upToToday(WorkWeek $week): array
    {
        return array_values(array_filter($week->open(), static fn (Job $job): bool => !$week->today->isBefore($job->day)));
    }

    private function week(Request $request, Site $site): WorkWeek
    {
        return WorkWeek::of($site, TaskList::usual(), $site->garden->today->plus(7 * max(-12, min(52,
            $request->query->getInt('on'))))->week());
    }

    /** @return list<array{task: PlacedTask, carry: Carry}> trays sown this week */
    private function labels(WorkWeek $week, Site $site): array
    {
        $labels = [];
        foreach ($week->jobs() as $job) {
            foreach (TaskKind::SowTrays === $job->kind ? $job->tasks : [] as $task) {
                $labels = null === $task->task->planting ? $labels : [...$labels, ['task' => $task, 'carry' => Carry::of($site,
                    $task->task->planting)]];
            }
        }

        return $labels;
    }
}
