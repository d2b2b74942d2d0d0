<?php

declare(strict_types=1);

namespace App\Job;

use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\TakeBack\WayBack;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\Placing;
use JollyFurrow\Job\PlantOutCheck;
use JollyFurrow\Job\Stake;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\Carry;
use JollyFurrow\Task\FeedDoses;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** One job: what it is, and what became of it. */
final class JobController extends Page
{
    /** Tasks asked for by name are looked for so far around today. */
    private const AROUND = 120;

    public function __construct(private readonly Sites $sites, private readonly JobWords $words, private readonly JobChanges $changes)
    {
    }

    #[Route('/g/{garden}/job/{job}', name: 'job', methods: ['GET'], requirements: ['job' => '[0-9a-f]{16}'])]
    public function job(Request $request, Visit $visit, string $job): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $on = max(-12, min(52, $request->query->getInt('on')));
        $found = WorkWeek::of($site, TaskList::usual(), $site->garden->today->plus(7 * $on)->week())->job($job);
        if (null === $found) {
            $this->addFlash('trouble', 'This job is no longer on the list: it was done, or its day has moved.');

            return $this->seeOther('week', ['garden' => $visit->gardenId, 'on' => $on]);
        }

        return $this->show($request, $visit, $site, $found, Entry::fresh(), '', Response::HTTP_OK);
    }

    /** What a phone without reception kept comes here too, with a token, and is answered in short. */
    #[Route('/g/{garden}/jobs/do', name: 'job_do', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function do(Request $request, Visit $visit, WayBack $wayBack): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $isSentLater = 'json' === $request->getPreferredFormat();
        $problem = '';
        $status = Response::HTTP_UNPROCESSABLE_ENTITY;
        $doing = Doing::read($entry, $site->garden, $isSentLater ? $entry->raw('token') : '');
        if (null !== $doing) {
            try {
                $done = $this->changes->keep($visit->gardenId, $visit->accountId, $doing);

                return $isSentLater ? new JsonResponse(['kept' => $done->words, 'repeated' => $done->isRepeated])
                    : $this->kept($visit, $done->words, $wayBack->to($visit->gardenId, $entry->raw('back'))
                        ?? $this->generateUrl('week', ['garden' => $visit->gardenId]));
            } catch (CannotBeDone $not) {
                $entry->fault(\in_array($not->field, ['day', 'length'], true) ? $not->field : 'do', $not->said());
            } catch (Meanwhile|SomebodyWasFaster $meanwhile) {
                $problem = $this->sayer->why($meanwhile);
                $status = Response::HTTP_CONFLICT;
            }
        }
        if ($isSentLater) {
            return new JsonResponse(['problem' => '' !== $problem ? $problem : implode(' ', array_map($this->sayer->text(...),
                $entry->faults()))], $status);
        }
        $job = $this->asked($site, $entry);
        if (null === $job) {
            $this->addFlash('trouble', '' !== $problem ? $problem : 'This job is no longer on the list.');

            return $this->seeOther('week', ['garden' => $visit->gardenId]);
        }

        return $this->show($request, $visit, $site, $job, $entry, $problem, $status);
    }

    /** What was proposed for a day with too much work: each job to its day, all as one change. */
    #[Route('/g/{garden}/jobs/put-off', name: 'job_put_off', methods: ['POST'])]
    public function putOff(Request $request, Visit $visit): Response
    {
        $entry = new Entry($request->request->all());
        $site = $this->sites->of($visit->gardenId);
        $doings = [];
        foreach ($entry->table('move') as $row) {
            $day = Day::typed((int) ($row[0] ?? 0));
            $tasks = array_values(array_filter(array_map(TaskId::parse(...), \array_slice($row, 1))));
            if ([] === $tasks || !$site->garden->today->isBefore($day)) {
                continue;
            }
            $doings[] = Doing::putOff($tasks, $site->garden->today, $day);
        }
        try {
            $words = $this->changes->keepAll($visit->gardenId, $visit->accountId, $doings);
        } catch (BadInput $not) {
            $this->addFlash('trouble', $this->sayer->why($not));

            return $this->seeOther('week', ['garden' => $visit->gardenId]);
        }

        return $this->kept($visit, $words, $this->generateUrl('week', ['garden' => $visit->gardenId]));
    }

    /** The tasks asked for, as one job; null: there are none of them. */
    private function asked(Site $site, Entry $entry): ?Job
    {
        $asked = array_flip($entry->several('t'));
        $today = $site->garden->today;
        $placing = new Placing($today, $site->weather, $site->garden->diary->marks);
        $placed = [];
        foreach (TaskList::usual()->of($site, Period::between($today->plus(-self::AROUND), $today->plus(self::AROUND))) as $task) {
            $placed = isset($asked[$task->id->text()]) ? [...$placed, $placing->place($task)] : $placed;
        }

        return Job::of($placed, array_flip(array_keys($site->beds)))[0] ?? null;
    }

    private function show(Request $request, Visit $visit, Site $site, Job $job, Entry $entry, string $problem, int $status): Response
    {
        $first = $job->first();
        $isStock = \in_array($job->kind, [TaskKind::SowTrays, TaskKind::SowBed, TaskKind::PlantStock, TaskKind::PlantOut], true);

        return $this->page($request, 'job/job.html.twig', [
            'visit' => $visit,
            'garden' => $site->garden,
            'job' => $job,
            'line' => JobLine::of($job, $site, $this->words),
            'crops' => $site->crops,
            'site' => $site,
            'workings' => array_values(array_filter([Stake::hours($first, $site), Stake::costs($first, $site)])),
            'carries' => $isStock ? array_map(static fn (PlacedTask $p): array => ['task' => $p->task,
                'carry' => null === $p->task->planting ? null : Carry::of($site, $p->task->planting)], $job->tasks) : [],
            'mixes' => TaskKind::Feed === $job->kind ? FeedDoses::mixes($site, array_map(static fn (PlacedTask $p): Task => $p->task,
                $job->tasks)) : [],
            'out' => TaskKind::PlantOut === $job->kind && null !== $first->planting ? PlantOutCheck::of($site, $first->planting,
                $site->garden->today) : null,
            'entry' => $entry,
            'problem' => $problem,
            'back' => $entry->raw('back', $request->query->getString('back')),
        ], 'job', $status);
    }
}
