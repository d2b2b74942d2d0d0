<?php

declare(strict_types=1);

namespace App\Plan;

use App\Rows\PlanRun;
use App\Shared\Page;
use App\Shared\Today;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use App\Store\WhatIfs;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Why\Contradictions;
use JollyFurrow\Why\Explainer;
use JollyFurrow\Why\TightWeeks;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class PlanController extends Page
{
    #[Route('/g/{garden}/plan', name: 'plan', methods: ['GET'])]
    public function plan(Request $request, Visit $visit, Snapshot $snapshot, Planner $planner, Explainer $explainer, CropBook $book,
        ShortList $short, Connection $connection, Runs $runs): Response
    {
        $stand = Standpoint::of($visit->gardenId, $snapshot, $planner, $book);
        $garden = $stand->garden;
        $explained = $explainer->explain($garden, $stand->plan);

        return $this->page($request, 'plan/plan.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $book,
            'contradictions' => Contradictions::of($garden, $book),
            'tight' => TightWeeks::of($garden, $book, $explained),
            'short' => $short->explained($garden, $explained),
            'kept' => $stand->plan->keptShare(),
            'bent' => $garden->plantings->where(static fn (Planting $p): bool => [] !== $p->remarks
                && !$p->clear->isBefore($garden->today))->all(),
            'late' => array_map(static fn (Planting $p): array => ['planting' => $p, 'true' => (new TrueSupply($garden, $book))->of($p)],
                $garden->plantings->where(static fn (Planting $p): bool => $p->isLate($garden->today))->all()),
            'ids' => $snapshot->plantingIds($visit->gardenId),
            'scopes' => DrawUp::scopes($garden),
            'proposed' => false !== $connection->fetchOne('SELECT 1 FROM proposal WHERE garden_id = ?', [$visit->gardenId]),
            'frozen' => $garden->today->plus(Planner::FROZEN_DAYS),
            'last' => $runs->newest($visit->gardenId),
        ], 'plan');
    }

    /** Makes the run; the page then starts it and looks in on it. Without scripts the plan is drawn at once. */
    #[Route('/g/{garden}/plan', name: 'draw_up', methods: ['POST'])]
    public function start(Request $request, Visit $visit, EntityManagerInterface $entities, Today $today, DrawUp $drawUp,
        Runs $runs, WhatIfs $whatIfs): Response
    {
        $run = new PlanRun($visit->gardenId, $today->now()->getTimestamp(), mb_substr($request->request->getString('what'), 0, 200));
        $entities->persist($run);
        $entities->flush();
        if ($request->headers->has('HX-Request')) {
            return $this->render('plan/_run.html.twig', ['visit' => $visit, 'run' => $this->run($runs, $visit, $run->id),
                'begin' => true]);
        }
        $this->draw($request, $visit, $run->id, $drawUp, $runs, $whatIfs);

        return $this->redirect($this->next($visit, $whatIfs, 'proposal'), Response::HTTP_SEE_OTHER);
    }

    #[Route('/g/{garden}/plan/run/{run}', name: 'draw_up_go', methods: ['POST'])]
    public function go(Request $request, Visit $visit, string $run, DrawUp $drawUp, Runs $runs, WhatIfs $whatIfs): Response
    {
        $this->run($runs, $visit, $run);
        $this->draw($request, $visit, $run, $drawUp, $runs, $whatIfs);

        return new Response('', Response::HTTP_NO_CONTENT);
    }

    #[Route('/g/{garden}/plan/run/{run}', name: 'draw_up_progress', methods: ['GET'])]
    public function progress(Visit $visit, string $run, Runs $runs, WhatIfs $whatIfs): Response
    {
        $response = $this->render('plan/_run.html.twig', ['visit' => $visit, 'run' => $found = $this->run($runs, $visit, $run),
            'begin' => false]);
        if (\in_array($found['state'], ['done', 'failed'], true)) {
            $response->headers->set('HX-Redirect', $this->next($visit, $whatIfs, 'done' === $found['state'] ? 'proposal' : 'plan'));
        }

        return $response;
    }

    #[Route('/g/{garden}/plan/run/{run}/stop', name: 'draw_up_stop', methods: ['POST'])]
    public function stop(Visit $visit, string $run, Runs $runs): Response
    {
        $this->run($runs, $visit, $run);
        $runs->stop($visit->gardenId, $run);

        return $this->render('plan/_run.html.twig', ['visit' => $visit, 'run' => $this->run($runs, $visit, $run), 'begin' => false]);
    }

    /** The session is closed first: otherwise every other request of the same person would wait for the plan. */
    private function draw(Request $request, Visit $visit, string $run, DrawUp $drawUp, Runs $runs, WhatIfs $whatIfs): void
    {
        $what = $runs->begin($visit->gardenId, $run);
        if (null === $what) {
            return;
        }
        $request->getSession()->save();
        $progress = $runs->progress($run);
        try {
            $progress->finished(null === $whatIfs->source($visit->gardenId, $visit->accountId)
                ? $drawUp->propose($visit->gardenId, $visit->accountId, $what, $progress)
                : $drawUp->drawAndKeep($visit->gardenId, $visit->accountId, $progress));
        } catch (\Throwable $failure) {
            $progress->failed('The plan could not be drawn up. Nothing was changed.');
            throw $failure;
        }
    }

    /** A copy that asks something is planned at once, and held against its garden. */
    private function next(Visit $visit, WhatIfs $whatIfs, string $else): string
    {
        $source = $whatIfs->source($visit->gardenId, $visit->accountId);

        return null === $source ? $this->generateUrl($else, ['garden' => $visit->gardenId]) : $this->generateUrl('what_if',
            ['garden' => $source]);
    }

    /** @return array<string, mixed> */
    private function run(Runs $runs, Visit $visit, string $run): array
    {
        return $runs->find($visit->gardenId, $run) ?? throw $this->createNotFoundException('There is no such run.');
    }
}
