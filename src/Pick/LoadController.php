<?php

declare(strict_types=1);

namespace App\Pick;

use App\Shared\Page;
use App\Shared\Visit;
use JollyFurrow\Pick\LoadList;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What is loaded for each outlet of a market day, in loading order, and where it comes from; price cards for the stall. */
final class LoadController extends Page
{
    #[Route('/g/{garden}/load', name: 'load', methods: ['GET'])]
    public function load(Request $request, Visit $visit, PickLists $lists): Response
    {
        [$site, $list] = $lists->of($visit->gardenId);
        $market = PickLists::asked($request->query->getString('day'), $list);
        $on = null === $market ? null : $list->on($market);
        $loads = null === $on ? [] : LoadList::all($site->garden, $site->crops, $on);
        $short = [];
        foreach ($on->short ?? [] as $one) {
            $short[$one->outlet][] = $one;
        }

        return $this->page($request, 'market/load.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'list' => $list,
            'market' => $market, 'loads' => $loads, 'short' => $short, 'crates' => array_sum(array_map(
                static fn (LoadList $l): int => $l->crates(), $loads))], 'load');
    }

    /** Price cards for what is loaded, eight to a sheet. */
    #[Route('/g/{garden}/load/cards', name: 'load_cards', methods: ['GET'])]
    public function cards(Request $request, Visit $visit, PickLists $lists): Response
    {
        [$site, $list] = $lists->of($visit->gardenId);
        $market = PickLists::asked($request->query->getString('day'), $list);
        $items = [];
        foreach (null === $market ? [] : LoadList::all($site->garden, $site->crops, $list->on($market)) as $load) {
            foreach ($load->lines as $line) {
                $items[$line->crop->item()] = true;
            }
        }
        $products = array_values(array_filter($site->garden->products, static fn ($p): bool => [] === array_filter($p->parts,
            static fn ($part): bool => !isset($items[$part->item]))));

        return $this->page($request, 'market/cards.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'market' => $market,
            'products' => $products], 'cards');
    }
}
