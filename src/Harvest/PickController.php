<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Books\StoreTables;
use App\Job\Sites;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Pick\PickList;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What to pick for a market day, from which bed and on which day, and what to take out of store. */
final class PickController extends Page
{
    #[Route('/g/{garden}/pick', name: 'pick', methods: ['GET'])]
    public function pick(Request $request, Visit $visit, Sites $sites, StoreTables $tables, Snapshot $snapshot): Response
    {
        $site = $sites->of($visit->gardenId);
        $garden = $site->garden;
        $list = PickList::of($garden, $site->crops, $tables->picking(), WorkWeek::beside(TaskKind::Pick, $site, TaskList::usual(),
            PickList::AHEAD + 1));
        $market = self::asked($request->query->getString('day'), $list);

        return $this->page($request, 'harvest/pick.html.twig', ['visit' => $visit, 'garden' => $garden, 'list' => $list,
            'market' => $market, 'on' => null === $market ? null : $list->on($market), 'ridges' => PickRidges::of($list),
            'ids' => $snapshot->plantingIds($visit->gardenId), 'outlets' => array_combine(array_map(static fn ($o): string => $o->key,
                $garden->outlets), $garden->outlets)], 'pick');
    }

    /** The market day asked for; else the next one something is picked for, else the next. */
    private static function asked(string $text, PickList $list): ?Day
    {
        foreach ($list->markets as $day) {
            if ($day->iso() === $text) {
                return $day;
            }
        }

        return $list->lines[0]->market ?? $list->markets[0] ?? null;
    }
}
