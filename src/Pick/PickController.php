<?php

declare(strict_types=1);

namespace App\Pick;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What to pick for a market day, from which bed and on which day, and what to take out of store. */
final class PickController extends Page
{
    #[Route('/g/{garden}/pick', name: 'pick', methods: ['GET'])]
    public function pick(Request $request, Visit $visit, PickLists $lists, Snapshot $snapshot): Response
    {
        [$site, $list] = $lists->of($visit->gardenId);
        $market = PickLists::asked($request->query->getString('day'), $list);

        return $this->page($request, 'harvest/pick.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'list' => $list,
            'market' => $market, 'on' => null === $market ? null : $list->on($market), 'ridges' => PickRidges::of($list),
            'ids' => $snapshot->plantingIds($visit->gardenId), 'outlets' => array_combine(array_map(static fn ($o): string => $o->key,
                $site->garden->outlets), $site->garden->outlets)], 'pick');
    }
}
