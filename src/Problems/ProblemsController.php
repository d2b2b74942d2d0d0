<?php

declare(strict_types=1);

namespace App\Problems;

use App\Plan\ShortList;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\Standpoint;
use App\Wall\Shelf;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Plan\Planner;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What stands beside the wall: what is wrong, with ways out that go into the draft, and the shelf of crops to add from. */
final class ProblemsController extends Page
{
    private const SHOWN = 12;

    public function __construct(private readonly Snapshot $snapshot)
    {
    }

    #[Route('/g/{garden}/wall/problems', name: 'wall_problems', methods: ['GET'])]
    public function problems(Request $request, Visit $visit, ProblemList $list): Response
    {
        $problems = $list->of($visit->gardenId);

        return $this->page($request, 'plan/problems.html.twig', ['visit' => $visit, 'garden' => $this->snapshot->of($visit->gardenId),
            'ids' => $this->snapshot->plantingIds($visit->gardenId), 'first' => \array_slice($problems, 0, self::SHOWN),
            'more' => \array_slice($problems, self::SHOWN)], 'panel');
    }

    /** The ways out of one problem, worked out when it is opened. */
    #[Route('/g/{garden}/wall/problems/{kind}', name: 'wall_ways', methods: ['GET'])]
    public function ways(Request $request, Visit $visit, string $kind, WaysOut $ways): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $found = ProblemKind::tryFrom($kind) ?? throw $this->createNotFoundException('There is no such problem.');

        return $this->page($request, 'plan/ways.html.twig', ['visit' => $visit, 'garden' => $garden,
            'ways' => $ways->of($garden, $found, $request->query->getString('about')),
            'id' => $this->snapshot->plantingIds($visit->gardenId)[$request->query->getString('about')] ?? ''], 'ways');
    }

    #[Route('/g/{garden}/wall/shelf', name: 'wall_shelf', methods: ['GET'])]
    public function shelf(Request $request, Visit $visit, Planner $planner, CropBook $book, ShortList $short): Response
    {
        $stand = Standpoint::of($visit->gardenId, $this->snapshot, $planner, $book);

        return $this->page($request, 'plan/shelf.html.twig', ['visit' => $visit, 'garden' => $stand->garden,
            'shelf' => Shelf::of($stand->garden, $book, $short->of($stand->garden, $stand->plan))], 'panel');
    }
}
