<?php

declare(strict_types=1);

namespace App\Work;

use App\Books\CareFile;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Recipe\Tools;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\PathCare;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Making beds ready and caring for crops, two weeks of it by day and block.
 *
 * @phpstan-type Job array{planting: Planting|null, words: string, block: string, day: int, name: string, hours: float,
 *     tool: string, caution: string}
 * @phpstan-type Line array{block: string, name: string, tool: string, caution: string, hours: float, words: string,
 *     plantings: list<Planting>}
 */
final class CareController extends Page
{
    private const DAYS = 14;

    #[Route('/g/{garden}/care', name: 'care', methods: ['GET'])]
    public function care(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book, RecipeBook $recipes, CareFile $care): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $from = $garden->today->plus(self::DAYS * max(-1, min(26, $request->query->getInt('on'))));
        $until = $from->plus(self::DAYS - 1);
        $jobs = [];
        foreach ((new CareCalendar($garden, $book, $recipes, $care->load()))->between($from, $until) as $step) {
            $jobs[] = self::job($garden, $step->planting, $step->day, $step->name, $step->hours, $step->tool, '');
        }

        return $this->page($request, 'work/care.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $book,
            'ids' => $snapshot->plantingIds($visit->gardenId),
            'days' => self::byDay([...$jobs, ...self::preparation($garden, $recipes, $from, $until), ...self::paths($garden, $from,
                $until)]),
            'from' => $from,
            'until' => $until,
            'before' => $request->query->getInt('on') > -1 ? $request->query->getInt('on') - 1 : null,
            'next' => $request->query->getInt('on') + 1,
        ], 'care');
    }

    /** @return list<Job> */
    private static function preparation(Garden $garden, RecipeBook $recipes, Day $from, Day $until): array
    {
        $leads = new Leads($garden);
        $jobs = [];
        foreach ($garden->plantings as $planting) {
            if (!\in_array($planting->standing, [Standing::Planned, Standing::InNursery], true) || !$recipes->has($planting->recipe)) {
                continue;
            }
            foreach ($leads->dated($recipes->get($planting->recipe), $planting) as $step) {
                if (!$step->day->isBefore($from) && !$until->isBefore($step->day)) {
                    $jobs[] = self::job($garden, $planting, $step->day, $step->step->name, $step->hours->value, $step->step->tool,
                        $step->step->caution);
                }
            }
        }

        return $jobs;
    }

    /** @return list<Job> */
    private static function paths(Garden $garden, Day $from, Day $until): array
    {
        return array_map(static fn (PathCare $care): array => ['planting' => null,
            'words' => $garden->settings->units->long(Length::fromMetres(round($care->metres))).' of path', 'block' => $care->block,
            'day' => $care->day->number, 'name' => $care->paths->work(), 'hours' => $care->hours, 'tool' => $care->paths->tool(),
            'caution' => Tools::caution($care->paths->tool())], PathCare::between($garden, $from, $until));
    }

    /** @return Job */
    private static function job(Garden $garden, Planting $planting, Day $day, string $name, float $hours, string $tool,
        string $caution): array
    {
        return ['planting' => $planting, 'words' => '', 'block' => $garden->bedsByName()[$planting->pieces[0]->bed]->block,
            'day' => $day->number, 'name' => $name, 'hours' => $hours, 'tool' => $tool, 'caution' => $caution];
    }

    /**
     * One job a block and day: the same work on several beds is one line.
     *
     * @param list<Job> $jobs
     *
     * @return array<int, array{hours: float, cautions: list<string>, jobs: list<Line>}>
     */
    private static function byDay(array $jobs): array
    {
        usort($jobs, static fn (array $a, array $b): int => [$a['day'], $a['block'], $a['name'],
            $a['planting']?->pieces[0]->bed] <=> [$b['day'], $b['block'], $b['name'], $b['planting']?->pieces[0]->bed]);
        $days = [];
        foreach ($jobs as $job) {
            $key = $job['block'].'/'.$job['name'];
            $days[$job['day']][$key] ??= ['block' => $job['block'], 'name' => $job['name'], 'tool' => $job['tool'],
                'caution' => $job['caution'], 'hours' => 0.0, 'words' => $job['words'], 'plantings' => []];
            $days[$job['day']][$key]['hours'] += $job['hours'];
            if (null !== $job['planting']) {
                $days[$job['day']][$key]['plantings'][] = $job['planting'];
            }
        }

        return array_map(static fn (array $day): array => ['hours' => array_sum(array_column($day, 'hours')),
            'cautions' => array_values(array_unique(array_filter(array_column($day, 'caution'),
                static fn (string $words): bool => '' !== $words))), 'jobs' => array_values($day)], $days);
    }
}
