<?php

declare(strict_types=1);

namespace App\Job;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\TaskList;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\AsController;

/** The jobs of one bed this week, inside the bed's page. Only what lies on the bed is looked at. */
#[AsController]
final class BedJobsController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly Sites $sites, private readonly JobWords $words)
    {
    }

    public function jobs(Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $site = $this->sites->site($visit->gardenId, $garden->with($garden->plantings->on($bed)));
        $open = array_values(array_filter(WorkWeek::of($site, TaskList::usual(), $garden->today->week())->open(),
            static fn (Job $job): bool => \in_array($bed, $job->beds(), true)));

        return $this->render('job/bed.html.twig', ['visit' => $visit, 'garden' => $garden, 'lines' => JobLine::all($open, $site,
            $this->words)]);
    }
}
