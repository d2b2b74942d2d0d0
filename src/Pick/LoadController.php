<?php

declare(strict_types=1);

namespace App\Pick;

use App\Shared\Page;
use App\Shared\Visit;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Load\LoadList;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\Price;
use JollyFurrow\Time\Day;
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
            'market' => $market, 'loads' => $loads, 'short' => $short, 'mixes' => $on->mixes ?? [], 'crops' => $site->crops,
                'crates' => array_sum(array_map(
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
            'cards' => null === $market ? [] : self::cardsOf($site->garden, $products, $market)], 'cards');
    }

    /**
     * A card for each product, and for each size of it that costs otherwise, at the price of where it is taken and seen.
     *
     * @param list<Product> $products
     *
     * @return list<array{product: Product, size: string, price: Price}>
     */
    private static function cardsOf(Garden $garden, array $products, Day $market): array
    {
        $seen = array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => $o->days->isOpenOn($market)
            && null === $garden->market->termsOf($o->key)->closesDays))[0]->key ?? '';
        $cards = [];
        foreach ($products as $product) {
            foreach (['', ...$garden->market->sizesPriced($product->key)] as $size) {
                $cards[] = ['product' => $product, 'size' => $size, 'price' => $garden->market->price($seen, $product, $market, $size)];
            }
        }

        return $cards;
    }
}
